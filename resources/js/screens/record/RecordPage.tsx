import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { useLocation, useParams, useSearchParams } from 'react-router';
import { isMissing, recordQuery } from '../../api/queries';
import { ButtonLink, MainButton } from '../../ui/Button';
import { Sheet, Spread } from '../../ui/Page';
import { useShortcut } from '../../ui/shortcuts';
import { Empty, Title } from '../../ui/Text';
import { AddressesSection } from './AddressesSection';
import { BankSection } from './BankSection';
import { ClassificationSection } from './ClassificationSection';
import { DetailsSection } from './DetailsSection';
import { DocumentsSection } from './DocumentsSection';
import { FilesSection } from './FilesSection';
import { LogSection } from './LogSection';
import { PositionsSection } from './PositionsSection';
import { ReachSection } from './ReachSection';
import { RecordMargin } from './RecordMargin';
import { RecordTitle } from './RecordTitle';
import { RelationsSection } from './RelationsSection';
import { RemindersSection } from './RemindersSection';
import type { RecordData } from './sections/spec';
import { TaxNumbersSection } from './TaxNumbersSection';
import { TermsSection } from './TermsSection';

export function RecordPage() {
    const id = Number(useParams().id);
    const { data: record, error, refetch } = useQuery(recordQuery(id));

    if (record !== undefined) {
        return <OneRecord key={id} record={record} />;
    }
    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={error === null}>
            {error !== null && (isMissing(error) ? (
                <Empty role="alert">
                    <Title>No such record</Title>
                    <p>It is not in the book, or no longer is. Press / and search for the name.</p>
                    <ButtonLink href="/directory">Open the directory</ButtonLink>
                </Empty>
            ) : (
                <Empty role="alert">
                    <p>The record could not be loaded. {error.message}</p>
                    <MainButton onPress={() => void refetch()}>Try again</MainButton>
                </Empty>
            ))}
        </Sheet>
    );
}

function OneRecord({ record }: { record: RecordData }) {
    const [search, setSearch] = useSearchParams();
    const [startsWith] = useState(() => search.get('edit'));
    useEffect(() => {
        // It was for this once: who comes back to this address does not begin again.
        if (startsWith !== null) {
            setSearch({}, { replace: true });
        }
    }, [startsWith, setSearch]);
    useSectionKeys();
    useSectionInAddress();

    useEffect(() => {
        document.title = `${record.party.displayName} – Neat Almanac`;
    }, [record.party.displayName]);

    return (
            <Spread>
                <Sheet id="sheet" tabIndex={-1}>
                    <RecordTitle record={record} />
                    <ReachSection record={record} startsOpen={startsWith === 'reach'} />
                    <AddressesSection record={record} />
                    <PositionsSection record={record} />
                    <RelationsSection record={record} />
                    <ClassificationSection record={record} />
                    <TermsSection record={record} side="client" />
                    <TermsSection record={record} side="vendor" />
                    <TaxNumbersSection record={record} />
                    <BankSection record={record} />
                    <DocumentsSection record={record} />
                    <DetailsSection record={record} />
                    <FilesSection record={record} />
                    <RemindersSection record={record} />
                    <LogSection record={record} />
                </Sheet>
                <RecordMargin record={record} />
            </Spread>
    );
}

/** An address with a section in it, as in /records/7#addresses, opens there. */
function useSectionInAddress() {
    const { hash } = useLocation();
    useEffect(() => {
        const section = hash === '' ? null : document.getElementById(hash.slice(1));
        section?.focus();
        section?.scrollIntoView({ block: 'start' });
    }, [hash]);
}

/** e edits the section at hand; j and k go to the next and the one before. */
function useSectionKeys() {
    // By its id: a section that was just saved may be drawn anew while the key is pressed.
    const last = useRef('');
    const sections = () => [...document.querySelectorAll<HTMLElement>('[data-section]')];
    const atHand = () => document.activeElement?.closest<HTMLElement>('[data-section]')
        ?? sections().find(({ id }) => id === last.current);

    useEffect(() => {
        const remember = ({ target }: FocusEvent) => {
            const section = target instanceof Element ? target.closest('[data-section]') : null;
            if (section !== null) {
                last.current = section.id;
            }
        };
        document.addEventListener('focusin', remember);
        return () => document.removeEventListener('focusin', remember);
    }, []);

    const move = (step: number) => {
        const all = sections();
        const at = all.findIndex((section) => section === atHand());
        const next = all[at === -1 ? (step > 0 ? 0 : all.length - 1) : Math.min(all.length - 1, Math.max(0, at + step))];
        if (next !== undefined) {
            next.focus();
            next.scrollIntoView({ block: 'nearest' });
        }
    };
    useShortcut('e', 'Edit the section at hand', () => {
        const section = atHand() ?? sections()[0];
        section?.querySelector<HTMLElement>('[data-edit]')?.click();
    });
    useShortcut('j', 'Next section', () => move(1));
    useShortcut('k', 'Section before', () => move(-1));
}
