import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Navigate, useLocation, useNavigationType, useParams } from 'react-router';
import { api, ask } from '../../api/client';
import { forget, isMissing, recordQuery } from '../../api/queries';
import { ButtonLink, MainButton } from '../../ui/Button';
import { Sheet, Spread } from '../../ui/Page';
import { useSectionInAddress, useSectionKeys } from '../../shared/section/useSectionKeys';
import { Empty, Title } from '../../ui/Text';
import { AddressesSection } from './AddressesSection';
import { BankSection } from './BankSection';
import { ClassificationSection } from './ClassificationSection';
import { DetailsSection } from './DetailsSection';
import { DocumentsSection } from './DocumentsSection';
import { EngagementsSection } from './EngagementsSection';
import { FilesSection } from '../../shared/FilesSection';
import { Leaves } from '../../shared/lists/Leaves';
import { LogSection } from '../../shared/log/LogSection';
import { PositionsSection } from './PositionsSection';
import { ReachSection } from './ReachSection';
import { RecordMargin } from './RecordMargin';
import { RecordTitle } from './RecordTitle';
import { RelationsSection } from './RelationsSection';
import { RemindersSection } from '../../shared/RemindersSection';
import type { RecordData } from './sections/spec';
import { TaxNumbersSection } from './TaxNumbersSection';
import { TermsSection } from './TermsSection';
import { useHoldsUnsaved } from '../../ui/unsaved';
import { useMayEdit } from './useMayEdit';
import { useSubjectAction } from '../../shared/useSubjectAction';
import { useRecordLog } from './useRecordLog';

export function RecordPage() {
    const id = Number(useParams().id);
    const { data: record, error, refetch } = useQuery(recordQuery(id));
    const [own, setOwn] = useState(record);
    const isTyping = useHoldsUnsaved();
    if (record !== undefined && record !== own && record.party.id === id) {
        setOwn(record);
    }

    if (record !== undefined && record.party.id !== id) {
        // It was made one with another meanwhile. What is typed stays, and is told when it is saved; else the address leads there.
        return isTyping && own?.party.id === id
            ? <OneRecord key={id} record={own} />
            : <Navigate replace to={{ pathname: `/records/${record.party.id}`, hash: window.location.hash }} />;
    }
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
    const { state } = useLocation() as { state: { edit?: string } | null };
    const way = useNavigationType();
    // It was for this once: who comes back to this page, or loads it anew, does not begin again.
    const [startsWith] = useState(() => way === 'POP' ? undefined : state?.edit);
    const log = useRecordLog(record);
    const mayEdit = useMayEdit(record);
    const act = useSubjectAction();
    const { id } = record.party;
    useSectionKeys();
    useSectionInAddress();

    // For what was used lately: it is no matter when it cannot be kept.
    useEffect(() => {
        api.PUT('/api/parties/{id}/opened', { params: { path: { id } } }).then(() => forget(['records', 'saved-lists']), () => undefined);
    }, [id]);

    useEffect(() => {
        document.title = `${record.party.displayName} – Neat Almanac`;
    }, [record.party.displayName]);

    return (
            <Spread>
                <Sheet id="sheet" tabIndex={-1}>
                    <Leaves of="parties" />
                    <RecordTitle record={record} />
                    <ReachSection record={record} startsOpen={startsWith === 'reach'} />
                    <AddressesSection record={record} />
                    <PositionsSection record={record} />
                    <RelationsSection record={record} />
                    <EngagementsSection record={record} />
                    <ClassificationSection record={record} />
                    <TermsSection record={record} side="client" />
                    <TermsSection record={record} side="vendor" />
                    <TaxNumbersSection record={record} />
                    <BankSection record={record} />
                    <DocumentsSection record={record} />
                    <DetailsSection record={record} />
                    <FilesSection of={`parties/${id}`} files={record.files} mayEdit={mayEdit} />
                    <RemindersSection
                        reminders={record.reminders}
                        mayEdit={mayEdit}
                        add={(body) => act(() => ask(api.POST('/api/parties/{id}/reminders', { params: { path: { id } }, body })))}
                    />
                    <LogSection log={log} />
                </Sheet>
                <RecordMargin record={record} />
            </Spread>
    );
}
