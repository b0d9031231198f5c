import type { PartyKind } from '../../api/queries';
import { useSession } from '../../api/session';
import { useListed } from '../../api/useListed';
import { asOptions, Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Suggest } from '../../ui/Suggest';
import { FieldRow } from '../../ui/Text';
import { PrivateField } from '../../shared/PrivateField';
import type { IdentityDraft } from './sections/identity';

const PREFIXES = asOptions(['Mr.', 'Mrs.', 'Ms.', 'Mx.', 'Dr.', 'Prof.', 'Rev.']);
const PRONOUNS = asOptions(['she/her', 'he/him', 'they/them']);

type TextField = { [F in keyof IdentityDraft]: IdentityDraft[F] extends string ? F : never }[keyof IdentityDraft];

interface Props {
    kind: PartyKind;
    draft: IdentityDraft;
    problems: Record<string, string>;
    onChange: (draft: IdentityDraft) => void;
    /** Parts of a name that the program took apart and is not sure of. */
    doubtful?: string[];
    suggestedPronouns?: string;
    /** Asked for once the record is there. */
    withLife?: boolean;
    /** A birth date is kept; it is not told here. */
    hasBirthDate?: boolean;
}

/** The name of a person or a company, and its roles. */
export function NameFields({
    kind,
    draft,
    problems,
    onChange,
    doubtful = [],
    suggestedPronouns = '',
    withLife = false,
    hasBirthDate = false,
}: Props) {
    const text = (field: TextField) => ({
        value: draft[field],
        problem: problems[field],
        onChange: (value: string) => onChange({ ...draft, [field]: value }),
        ...(doubtful.includes(field) ? { hint: 'Is this right?' } : {}),
    });
    const suggest = (field: TextField) => ({
        value: draft[field],
        problem: problems[field],
        onType: (value: string) => onChange({ ...draft, [field]: value }),
    });

    return (
        <>
            {kind === 'company' ? (
                <>
                    <Field label="Name" {...text('name')} />
                    <Field label="Legal name, if it differs" {...text('legal')} />
                    {withLife && <FirmFields text={text} suggest={suggest} />}
                </>
            ) : (
                <>
                    <FieldRow>
                        <Field label="Given name" width="name" {...text('given')} />
                        <Field label="Family name" width="name" {...text('family')} />
                        <Suggest label="Title before the name" width="code" options={PREFIXES} {...suggest('prefix')} />
                    </FieldRow>
                    <FieldRow>
                        <Field label="Middle name" width="name" {...text('middle')} />
                        <Field label="Preferred name" width="name" {...text('preferred')} />
                        <Field label="Suffix" width="code" placeholder="Jr., III" {...text('suffix')} />
                    </FieldRow>
                    <FieldRow>
                        <Field label="After the name" width="name" placeholder="CPA, Ph.D." {...text('postNominals')} />
                        <Suggest
                            label="Pronouns"
                            width="name"
                            options={PRONOUNS}
                            placeholder={suggestedPronouns === '' ? '' : `perhaps ${suggestedPronouns}`}
                            {...suggest('pronouns')}
                        />
                    </FieldRow>
                </>
            )}
            <FieldRow>
                <Tick isSelected={draft.isClient} onChange={(isClient) => onChange({ ...draft, isClient })}>Client: we bill them</Tick>
                <Tick isSelected={draft.isVendor} onChange={(isVendor) => onChange({ ...draft, isVendor })}>Vendor: they bill us</Tick>
            </FieldRow>
            {kind === 'person' && withLife && (
                <LifeFields draft={draft} problems={problems} onChange={onChange} hasBirthDate={hasBirthDate} />
            )}
        </>
    );
}

interface FirmProps {
    text: (field: TextField) => { value: string; problem: string | undefined; onChange: (value: string) => void };
    suggest: (field: TextField) => { value: string; problem: string | undefined; onType: (value: string) => void };
}

/** What a company is besides its name. */
function FirmFields({ text, suggest }: FirmProps) {
    const legalForms = asOptions(useListed('legal-forms'));
    const industries = asOptions(useListed('industries'));
    return (
        <>
            <Field label="Payee name, if payments are made out to another" {...text('payee')} />
            <FieldRow>
                <Suggest label="Legal form" width="name" options={legalForms} {...suggest('legalForm')} />
                <Field label="Registration number" width="name" {...text('registrationNumber')} />
                <Suggest label="Industry" width="word" options={industries} {...suggest('industry')} />
            </FieldRow>
        </>
    );
}

/** What changes how a person is written to. */
function LifeFields({
    draft,
    problems,
    onChange,
    hasBirthDate,
}: Pick<Props, 'draft' | 'problems' | 'onChange'> & { hasBirthDate: boolean }) {
    const { maySeePrivate } = useSession();
    return (
        <>
            {maySeePrivate && (
                <PrivateField
                    label="Birth date"
                    width="name"
                    placeholder="3 Feb 1950"
                    value={draft.birthDate}
                    isKept={hasBirthDate}
                    onChange={(birthDate) => onChange({ ...draft, birthDate: birthDate === '' && !hasBirthDate ? null : birthDate })}
                    problem={problems.birthDate}
                />
            )}
            <FieldRow>
                <Tick isSelected={draft.isInformal} onChange={(isInformal) => onChange({ ...draft, isInformal })}>
                    On first-name terms
                </Tick>
                <Tick
                    isSelected={draft.isDeceased}
                    onChange={(isDeceased) => onChange({ ...draft, isDeceased, deceasedOn: isDeceased ? draft.deceasedOn : '' })}
                >
                    Has died
                </Tick>
            </FieldRow>
            {draft.isDeceased && (
                <Field
                    label="On which day, if it is known"
                    width="name"
                    value={draft.deceasedOn}
                    onChange={(deceasedOn) => onChange({ ...draft, deceasedOn })}
                    problem={problems.deceasedOn}
                />
            )}
        </>
    );
}
