import { Link } from 'react-router';
import styled from 'styled-components';
import { useSession } from '../../api/session';
import { QuietButton } from '../../ui/Button';
import { rolesOf } from '../../ui/PartyLine';
import { Quiet, Row, Title } from '../../ui/Text';
import { line, space } from '../../ui/tokens';
import { Cautions } from './Cautions';
import { PinnedEntry } from '../../shared/log/LogSection';
import { useRecordLog } from './useRecordLog';
import { NameFields } from './NameFields';
import { PrivateValue } from '../../shared/PrivateValue';
import { ArchivedNotice, RecordLife } from './RecordLife';
import { SectionForm } from '../../shared/section/SectionFrame';
import { identitySpec } from './sections/identity';
import type { RecordData } from './sections/spec';
import { useMayEdit } from './useMayEdit';
import { useSection } from './useSection';

const Root = styled.div`
    display: grid;
    gap: ${space.small};
    padding-bottom: ${space.large};
    &:focus-visible { outline: ${line.focus}; outline-offset: ${space.tight}; }
`;

/** What it was made one from, with the way to see each as it was and to take them apart. */
function MadeFrom({ record: { madeFrom } }: { record: RecordData }) {
    const { mayChangeRecords } = useSession();
    return (
        <>
            {madeFrom.map(({ id, number, name, mergeId }) => (
                <Row key={id} $gap="small">
                    <Quiet>Made one from no. {number} {name}:</Quiet>
                    <Link to={`/upkeep/merges/${mergeId}/former/${id}`}>see it as it was</Link>
                    {mayChangeRecords && <Link aria-label={`Take no. ${number} ${name} apart`} to={`/upkeep/merges/${mergeId}/apart`}>take apart</Link>}
                </Row>
            ))}
        </>
    );
}

/** The name of the record at the head of its page, with its roles. */
export function RecordTitle({ record }: { record: RecordData }) {
    const edit = useSection(record, identitySpec);
    const mayEdit = useMayEdit(record);
    const log = useRecordLog(record);
    const { party, identity } = record;
    const { draft } = edit;

    if (draft !== undefined) {
        return (
            <Root id="identity" data-section tabIndex={-1} role="region" aria-label="Name and roles">
                <Title>{party.displayName}</Title>
                <SectionForm edit={edit} saveLabel="Save name">
                    <NameFields
                        kind={party.kind}
                        draft={draft}
                        problems={edit.problems}
                        onChange={edit.change}
                        withLife
                        hasBirthDate={identity.hasBirthDate}
                    />
                </SectionForm>
            </Root>
        );
    }
    const roles = rolesOf(party);
    return (
        <Root id="identity" data-section tabIndex={-1} role="region" aria-label="Name and roles">
            <Row>
                <Title>{party.displayName}</Title>
                {mayEdit && <QuietButton data-edit aria-label="Edit name and roles" onPress={edit.begin}>Edit</QuietButton>}
                {mayEdit && <RecordLife record={record} />}
            </Row>
            <Quiet>
                {[
                    party.kind === 'person' ? 'Person' : 'Company',
                    roles === '' ? 'neither client nor vendor' : roles,
                    `no. ${party.number}`,
                    identity.isDeceased && (identity.deceasedOn === '' ? 'has died' : `died ${identity.deceasedOn}`),
                    identity.preferred !== '' && `goes by ${identity.preferred}`,
                    identity.pronouns,
                    identity.legal !== '' && `legally ${identity.legal}`,
                    identity.payee !== '' && `paid as ${identity.payee}`,
                    identity.legalForm,
                    identity.industry,
                    identity.registrationNumber !== '' && `registered ${identity.registrationNumber}`,
                    identity.age !== null && (identity.isDeceased ? `aged ${identity.age}` : `${identity.age} years old`),
                ].filter(Boolean).join(' · ')}
            </Quiet>
            {identity.hasBirthDate && (
                <Row $gap="small">
                    <Quiet>Birth date:</Quiet>
                    <PrivateValue id={party.id} name="birth date" fieldId={null} />
                </Row>
            )}
            <MadeFrom record={record} />
            <ArchivedNotice record={record} />
            <div className="internal"><Cautions record={record} /></div>
            {record.pinned.map((entry) => <PinnedEntry key={entry.id} log={log} entry={entry} />)}
        </Root>
    );
}
