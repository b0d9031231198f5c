import type { PartyKind } from '../../api/queries';
import { Field } from '../../ui/Field';
import { FieldRow } from '../../ui/Text';
import type { IdentityDraft } from './sections';
import { Tick } from '../../ui/Choose';
import { Suggest } from '../../ui/Suggest';

const PREFIXES = ['Mr.', 'Mrs.', 'Ms.', 'Mx.', 'Dr.', 'Prof.', 'Rev.'].map((name) => ({ id: name, name }));

interface Props {
    kind: PartyKind;
    draft: IdentityDraft;
    problems: Record<string, string>;
    onChange: (draft: IdentityDraft) => void;
}

/** The name of a person or a company, and its roles. */
export function NameFields({ kind, draft, problems, onChange }: Props) {
    const text = (field: Exclude<keyof IdentityDraft, 'isClient' | 'isVendor'>) => ({
        value: draft[field],
        problem: problems[field],
        onChange: (value: string) => onChange({ ...draft, [field]: value }),
    });
    const { onChange: onPrefix, ...prefix } = text('prefix');

    return (
        <>
            {kind === 'company' ? (
                <>
                    <Field label="Name" {...text('name')} />
                    <Field label="Legal name, if it differs" {...text('legal')} />
                </>
            ) : (
                <>
                    <FieldRow>
                        <Field label="Given name" width="200px" {...text('given')} />
                        <Field label="Family name" width="220px" {...text('family')} />
                        <Suggest label="Title before it" width="130px" options={PREFIXES} onType={onPrefix} {...prefix} />
                    </FieldRow>
                    <FieldRow>
                        <Field label="Middle name" width="200px" {...text('middle')} />
                        <Field label="Preferred name" width="220px" {...text('preferred')} />
                        <Field label="Suffix" width="130px" placeholder="Jr., III" {...text('suffix')} />
                    </FieldRow>
                </>
            )}
            <FieldRow>
                <Tick isSelected={draft.isClient} onChange={(isClient) => onChange({ ...draft, isClient })}>Client: we bill them</Tick>
                <Tick isSelected={draft.isVendor} onChange={(isVendor) => onChange({ ...draft, isVendor })}>Vendor: they bill us</Tick>
            </FieldRow>
        </>
    );
}
