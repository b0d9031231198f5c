import { useQuery } from '@tanstack/react-query';
import { choicesQuery } from '../../api/queries';
import { Suggest } from '../../ui/Suggest';
import { Facts, Quiet, Row, Small, Stack } from '../../ui/Text';
import { SideFields } from '../../shared/SideFields';
import { SectionFrame } from '../../shared/section/SectionFrame';
import type { RecordData } from './sections/spec';
import { clientTermsSpec, vendorTermsSpec, type TermsDraft } from './sections/terms';
import { TermsPreview } from '../../shared/TermsPreview';
import { useSection } from './useSection';

interface Props {
    record: RecordData;
    side: 'client' | 'vendor';
}

/** The payment terms of one side, and what they mean for a document of any date. */
export function TermsSection({ record, side }: Props) {
    const isClient = side === 'client';
    const edit = useSection(record, isClient ? clientTermsSpec : vendorTermsSpec);
    const terms = isClient ? record.clientTerms : record.vendorTerms;
    const what = isClient ? 'An invoice' : 'A bill';
    const isOther =
        !(isClient ? record.party.isClient : record.party.isVendor) &&
        terms.fields.every(({ own }) => own === null) &&
        terms.source !== 'own';

    return (
        <SectionFrame
            edit={edit}
            saveLabel="Save terms"
            folded={isOther ? (isClient ? 'Not a client.' : 'Not a vendor.') : undefined}
            read={(
                <>
                    <Row $gap="small">
                        <span>{terms.inForce === '' ? <Quiet>No payment terms.</Quiet> : <strong>{terms.inForce}</strong>}</span>
                        <Small>{[terms.name, terms.from !== '' && `as ${terms.from}`].filter(Boolean).join(', ')}</Small>
                    </Row>
                    {terms.inForce !== '' && <TermsPreview what={what} terms={terms.inForce} />}
                    <SideFacts fields={terms.fields} isVendor={!isClient} record={record} />
                </>
            )}
            fields={(draft) => (
                <>
                    <TermsFields draft={draft} problems={edit.problems} onChange={edit.change} isClient={isClient} what={what} />
                    <SideFields
                        side={side}
                        fields={terms.fields}
                        own={draft.fields}
                        problems={edit.problems}
                        onChange={(fields) => edit.change({ ...draft, fields })}
                        inheritsFrom="the office or a parent company"
                    />
                </>
            )}
        />
    );
}

/** What holds beside the payment terms, and from whom it is inherited. */
function SideFacts({ fields, isVendor, record }: { fields: RecordData['clientTerms']['fields']; isVendor: boolean; record: RecordData }) {
    const held = fields.filter(({ text }) => text !== '');
    const payee = record.identity.payee || record.party.displayName;
    return (
        <Facts>
            {isVendor && record.party.isVendor && <div><dt>Payee name</dt><dd>{payee}</dd></div>}
            {held.map(({ name, title, text, from }) => (
                <div key={name}><dt>{title}</dt><dd>{text}{from !== '' && <Small> as {from}</Small>}</dd></div>
            ))}
        </Facts>
    );
}

interface FieldsProps {
    draft: TermsDraft;
    problems: Record<string, string>;
    onChange: (draft: TermsDraft) => void;
    isClient: boolean;
    what: string;
}

function TermsFields({ draft, problems, onChange, isClient, what }: FieldsProps) {
    const { data: choices } = useQuery(choicesQuery);
    const listed = choices?.terms ?? [];
    const chosen = listed.find(({ id }) => id === draft.listedId);
    const standard = listed.find(({ isClientDefault, isVendorDefault }) => isClient ? isClientDefault : isVendorDefault);
    const typed = draft.shorthand ?? '';
    const nameOf = ({ name, shorthand }: { name: string; shorthand: string }) => `${name}: ${shorthand}`;
    const terms = chosen?.shorthand ?? (typed.trim() === '' ? standard?.shorthand ?? '' : typed);

    return (
        <Stack $wide>
            <Suggest
                label="Payment terms: choose from the list, or type them"
                width="wide"
                placeholder={standard === undefined ? 'net 30' : `as the office: ${standard.shorthand}`}
                options={listed
                    .filter(({ id, isRetired }) => !isRetired || id === draft.listedId)
                    .map((entry) => ({ id: String(entry.id), name: nameOf(entry) }))}
                value={chosen === undefined ? typed : nameOf(chosen)}
                problem={problems.shorthand ?? problems.listedId}
                onType={(text) => {
                    const same = listed.find((entry) => nameOf(entry) === text);
                    onChange(same === undefined
                        ? { ...draft, listedId: null, shorthand: text.trim() === '' ? null : text }
                        : { ...draft, listedId: same.id, shorthand: null });
                }}
                onPick={(id) => onChange({ ...draft, listedId: Number(id), shorthand: null })}
            />
            <Small>
                As in net 30, 2/10 net 30, net 15 EOM, 10th prox, due on receipt, or 30% on receipt, 70% net 30; add “, next business day”
                to move a due date off weekends and holidays. Left empty, the office’s own terms hold.
            </Small>
            {terms !== '' && <TermsPreview what={what} terms={terms} />}
        </Stack>
    );
}
