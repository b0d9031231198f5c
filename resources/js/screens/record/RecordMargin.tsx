import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import styled from 'styled-components';
import { lookAlikesOfRecordQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { Contents, LastChange, NextToDo } from '../../shared/MarginParts';
import { momentText } from '../../ui/moment';
import { Margin } from '../../ui/Page';
import { Mark, Quiet } from '../../ui/Text';
import { Standing } from './Standing';
import { line, space } from '../../ui/tokens';
import type { RecordData } from './sections/spec';

const Envelope = styled.address`
    display: grid;
    padding: ${space.small} ${space.medium};
    border: ${line.rule};
    background: var(--sheet);
    font-style: normal;
    overflow-wrap: anywhere;
`;

const Todos = styled.ul`
    display: grid;
    gap: ${space.tight};
    margin: ${space.tight} 0 ${space.small};
    padding-left: ${space.large};
    list-style: none;
    a { white-space: nowrap; }
`;

const How = styled.details`
    summary { cursor: pointer; }
    summary strong { font-weight: 600; }
`;

/** Whom it may be the same as, with the way there. */
function MayBeTheSame({ id }: { id: number }) {
    const { data: groups = [] } = useQuery(lookAlikesOfRecordQuery(id));
    const { mayChangeRecords } = useSession();
    return groups.length === 0 ? null : (
        <section>
            <h2>In the book twice?</h2>
            {groups.map((group) => (
                <div key={group.id}>
                    {group.isSure ? <Mark tone="look">nearly surely</Mark> : <Quiet>perhaps</Quiet>} the same as{' '}
                    <Link to={`/upkeep/look-alikes?group=${group.id}`}>
                        {group.records.filter((one) => one.id !== id).map(({ displayName }) => displayName).join(' and ')}
                    </Link>
                    {mayChangeRecords && (
                        <> · <Link to={`/upkeep/make-one?records=${group.records.map((one) => one.id).join(',')}`}>make one …</Link></>
                    )}
                </div>
            ))}
        </section>
    );
}

/** What the program works out from the record. It never takes input. */
export function RecordMargin({ record }: { record: RecordData }) {
    const { party, readiness, clientTerms, vendorTerms, letter, lastChange, added, lastHappening } = record;
    const gaps = new Set(readiness.flatMap(({ checks }) => checks).filter(({ state }) => state !== 'passed').map(({ section }) => section));
    const sections = [
        ['reach', 'Reach'],
        ['addresses', 'Addresses'],
        ['positions', party.kind === 'person' ? 'Positions' : 'People'],
        ['relations', 'Relations'],
        ['engagements', 'Cases & projects'],
        ['classification', 'Classification'],
        ['client-terms', 'When we bill them'],
        ['vendor-terms', 'When we pay them'],
        ['tax-numbers', 'Tax numbers'],
        ['bank', 'Bank and cards'],
        ['documents', 'Documents'],
        ...(record.details.sheets.length > 0 ? [['details', 'Details'] as const] : []),
        ['files', 'Files'],
        ['reminders', 'Reminders'],
        ['log', 'Log'],
    ] as const;

    return (
        <Margin aria-label="Worked out from the record">
            <Standing record={record} />
            <MayBeTheSame id={party.id} />
            <Contents aria-label="On this page">
                <h2>On this page</h2>
                {sections.map(([id, name]) => (
                    <a key={id} href={`#${id}`}>{name}{gaps.has(id) && <> <Mark tone="look">gap</Mark></>}</a>
                ))}
            </Contents>
            <section>
                <h2>Ready</h2>
                {readiness.map((one) => <Ready key={one.purpose} readiness={one} />)}
            </section>
            <section>
                <h2>On an envelope today</h2>
                {letter.envelope.length === 0
                    ? <Quiet>No address to post to yet.</Quiet>
                    : <Envelope>{letter.envelope.map((line, index) => <span key={index}>{line}</span>)}</Envelope>}
                {!letter.fits && <Mark tone="look">too long for a label: 8 lines of 41 characters print whole</Mark>}
            </section>
            <section>
                <h2>A letter begins</h2>
                {letter.also !== null && (
                    <p>
                        <Quiet>{record.identity.isDeceased ? 'written to in their place' : 'written to together'}:</Quiet>{' '}
                        <a href={`/records/${letter.also.id}`}>{letter.also.name}</a>
                    </p>
                )}
                {letter.salutation === null ? (
                    <Mark tone="look">nobody is greeted: {party.displayName} has died</Mark>
                ) : (
                    <p>{letter.salutation}</p>
                )}
            </section>
            {party.isClient && <DueToday title="Billed today" terms={clientTerms} />}
            {party.isVendor && <DueToday title="Their bill of today" terms={vendorTerms} />}
            <NextToDo reminders={record.reminders} />
            {lastHappening !== null && (
                <section>
                    <h2>What happened last</h2>
                    <p>{momentText(lastHappening.at)}, {lastHappening.by}: {lastHappening.text}</p>
                </section>
            )}
            {added !== null && (
                <section>
                    <h2>In the book</h2>
                    <p>since {momentText(added.at)}{added.by !== '' && `, added by ${added.by}`}</p>
                </section>
            )}
            <LastChange change={lastChange} />
        </Margin>
    );
}

function DueToday({ title, terms }: { title: string; terms: RecordData['clientTerms'] }) {
    return (
        <section>
            <h2>{title}</h2>
            {terms.today === null ? <Quiet>No payment terms.</Quiet> : (
                <How>
                    <summary>due <strong>{terms.today.dueText}</strong></summary>
                    <p>{terms.inForce}. {terms.today.sentence}</p>
                </How>
            )}
        </section>
    );
}

/** Whether the record is ready for a purpose, and where to go when it is not. */
function Ready({ readiness: { words, passed, applicable, checks } }: { readiness: RecordData['readiness'][number] }) {
    if (passed === applicable) {
        return <p><Mark tone="fine">{words}</Mark></p>;
    }
    return (
        <>
            <p><Mark tone="look">{words}: {passed} of {applicable}</Mark></p>
            <Todos>
                {checks.filter(({ state }) => state !== 'passed').map(({ name, todo, section }) => (
                    <li key={name}>{todo} <a href={`#${section}`}>Go there</a></li>
                ))}
            </Todos>
        </>
    );
}
