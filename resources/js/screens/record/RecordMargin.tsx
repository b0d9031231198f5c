import styled from 'styled-components';
import { momentText } from '../../ui/moment';
import { Margin } from '../../ui/Page';
import { Mark, Quiet } from '../../ui/Text';
import { print, space } from '../../ui/tokens';
import type { RecordData } from './sections';

const Contents = styled.nav`
    display: grid;
    gap: ${space.hair};
    ${print} { display: none; }
    a { min-height: 24px; padding: 1px 0; color: inherit; text-decoration: none; }
    a:hover { text-decoration: underline; }
`;

const Envelope = styled.address`
    display: grid;
    padding: ${space.small} ${space.medium};
    border: 1px solid var(--rule);
    background: var(--sheet);
    font-style: normal;
    overflow-wrap: anywhere;
`;

const How = styled.details`
    summary { cursor: pointer; }
    summary strong { font-weight: 600; }
`;

/** What the program works out from the record. It never takes input. */
export function RecordMargin({ record }: { record: RecordData }) {
    const { party, reach, addresses, positions, clientTerms, vendorTerms, envelope, envelopeFits, salutation, lastChange } = record;
    const sections = [
        ['reach', 'Reach', reach.contactPoints.length === 0],
        ['addresses', 'Addresses', addresses.addresses.length === 0 || addresses.addresses.some(({ missing }) => missing.length > 0)],
        ['positions', party.kind === 'person' ? 'Positions' : 'People', party.kind === 'company' && positions.positions.length === 0],
        ['client-terms', 'When we bill them', false],
        ['vendor-terms', 'When we pay them', false],
        ['log', 'Log', false],
    ] as const;

    return (
        <Margin aria-label="What follows from the record">
            <Contents aria-label="On this page">
                <h2>On this page</h2>
                {sections.map(([id, name, hasGap]) => (
                    <a key={id} href={`#${id}`}>{name}{hasGap && <> <Mark tone="look">gap</Mark></>}</a>
                ))}
            </Contents>
            <section>
                <h2>On an envelope today</h2>
                {envelope.length === 0
                    ? <Quiet>Nothing to post to yet.</Quiet>
                    : <Envelope>{envelope.map((line, index) => <span key={index}>{line}</span>)}</Envelope>}
                {!envelopeFits && <Mark tone="look">too long for a label: 8 lines of 41 characters print whole</Mark>}
            </section>
            <section>
                <h2>A letter begins</h2>
                {salutation === null
                    ? <Mark tone="look">nobody is greeted: {party.displayName} has died</Mark>
                    : <p>{salutation}</p>}
            </section>
            {party.isClient && <DueToday title="Billed today" terms={clientTerms} />}
            {party.isVendor && <DueToday title="Their bill of today" terms={vendorTerms} />}
            {lastChange !== null && (
                <section>
                    <h2>Last change</h2>
                    <p>{momentText(lastChange.at)} by {lastChange.by}: {lastChange.section.toLowerCase()}</p>
                </section>
            )}
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
