import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask } from '../../api/client';
import { forgetLists, keepRecord, recordQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton } from '../../ui/Button';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Menu } from '../../ui/Menu';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { Notice } from '../../ui/Text';
import { CautionDialog } from './Cautions';
import type { RecordData } from './sections/spec';

/** Archiving, restoring and deleting the record, with what each says and how it is undone. */
function useLife(record: RecordData) {
    const client = useQueryClient();
    const navigate = useNavigate();
    const say = useSay();
    const { id, displayName } = record.party;
    const path = { params: { path: { id } } };
    const keep = (saved: RecordData) => {
        keepRecord(saved);
    };
    const restore = async () => {
        try {
            keep(await ask(api.DELETE('/api/parties/{id}/archive', path)));
            say(`${displayName} is in use again.`);
        } catch (error) {
            say(`Not restored. ${(error as Error).message}`);
        }
    };
    return {
        restore,
        archive: async (reason: string) => {
            keep(await ask(api.PUT('/api/parties/{id}/archive', { ...path, body: { reason } })));
            say(`${displayName} archived.`, () => void restore());
        },
        remove: async () => {
            await ask(api.DELETE('/api/parties/{id}', path));
            await navigate('/directory');
            client.removeQueries({ queryKey: recordQuery(id).queryKey });
            forgetLists(id);
            say(`${displayName} deleted.`);
        },
    };
}

/** What else can be done with a record than to edit it. */
export function RecordLife({ record }: { record: RecordData }) {
    const [asked, setAsked] = useState<'caution' | 'archive' | 'delete'>();
    const navigate = useNavigate();
    const what = record.party.kind;
    const close = () => setAsked(undefined);

    return (
        <>
            <Menu
                label="More"
                items={[
                    { id: 'caution', name: 'Add a caution …', onChoose: () => setAsked('caution') },
                    { id: 'meet', name: 'Arrange a meeting …', onChoose: () => void navigate(`/records/${record.party.id}/meet`) },
                    { id: 'letter', name: 'Write a letter …', onChoose: () => void navigate(`/letters/write?ids=${record.party.id}`) },
                    { id: 'as-of', name: 'As it was on a day …', onChoose: () => void navigate(`/records/${record.party.id}/as-of`) },
                    { id: 'card', name: 'Save as a contact card', onChoose: () => window.location.assign(`/api/parties/${record.party.id}/card`) },
                    { id: 'archive', name: `Archive this ${what} …`, onChoose: () => setAsked('archive') },
                    { id: 'delete', name: `Delete this ${what} …`, onChoose: () => setAsked('delete') },
                ]}
            />
            {asked === 'caution' && <CautionDialog record={record} onClose={close} />}
            {asked === 'archive' && <ArchiveDialog record={record} onClose={close} />}
            {asked === 'delete' && <DeleteDialog record={record} onClose={close} onArchive={() => setAsked('archive')} />}
        </>
    );
}

interface DialogProps {
    record: RecordData;
    onClose: () => void;
}

/** What is open with a record: money, drafts, orders, reminders. */
function unfinished({ standing, documents, reminders }: RecordData): string[] {
    return [
        ...standing.sides
            .filter(({ open }) => open.sign !== 0)
            .map(({ side, currency, open }) => `${side === 'client' ? 'They owe us' : 'We owe them'} ${currency} ${open.text}.`),
        ...standing.sides
            .filter(({ unallocated }) => unallocated.sign !== 0)
            .map(({ currency, unallocated }) => `${currency} ${unallocated.text} was paid and is not used yet.`),
        ...documents.counts
            .filter(
                ({ kind, state }) =>
                    state === 'draft' ||
                    ((state === 'issued' || state === 'part-paid') && ['quote', 'order', 'purchase-order'].includes(kind)),
            )
            .map(({ kindTitle, stateWords, count }) => `${count} ${kindTitle.toLowerCase()}${count === 1 ? '' : 's'}, ${stateWords}.`),
        ...(reminders.length > 0 ? [`${reminders.length} open ${reminders.length === 1 ? 'reminder' : 'reminders'}.`] : []),
    ];
}

function ArchiveDialog({ record, onClose }: DialogProps) {
    const [reason, setReason] = useState('');
    const { run, problems, message } = useSaving();
    const { archive } = useLife(record);
    const open = unfinished(record);
    const save = () => run(async () => {
        await archive(reason);
        onClose();
    });

    return (
        <Dialog title={`Archive ${record.party.displayName}?`} onClose={onClose}>
            {open.length > 0 && <Notice tone="look" title="Not finished yet">{open.map((line) => <span key={line}>{line}</span>)}</Notice>}
            <p>It leaves the lists and can no longer be changed, but it keeps its history, and searching finds it.</p>
            <Form
                onSubmit={(event) => {
                    event.preventDefault();
                    void save();
                }}
            >
                <Field
                    label="Why"
                    autoFocus
                    placeholder="closed its business"
                    value={reason}
                    onChange={setReason}
                    problem={problems.reason}
                />
                {message !== undefined && (
                    <Notice tone="stop" title="Not archived">
                        {message}
                    </Notice>
                )}
                <DialogButtons>
                    <MainButton type="submit">Archive</MainButton>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}

function DeleteDialog({ record, onClose, onArchive }: DialogProps & { onArchive: () => void }) {
    const { run, failure } = useSaving();
    const { remove } = useLife(record);

    return (
        <Dialog title={`Delete ${record.party.displayName}?`} role="alertdialog" onClose={onClose}>
            {failure === undefined
                ? <p>Deleting cannot be undone, and takes the log with it. It is meant for what was entered by mistake.</p>
                : <Notice tone="stop" title="Not deleted">{failure.message}</Notice>}
            <DialogButtons>
                {failure === undefined
                    ? <Button onPress={() => void run(remove)}>Delete for good</Button>
                    : <MainButton onPress={onArchive}>Archive it instead</MainButton>}
                <Button autoFocus onPress={onClose}>Cancel</Button>
            </DialogButtons>
        </Dialog>
    );
}

/** At the head of an archived record: since when, why, and the way back. */
export function ArchivedNotice({ record }: { record: RecordData }) {
    const { mayChangeRecords } = useSession();
    const { restore } = useLife(record);
    return record.archive !== null && (
        <Notice tone="look" title={`Archived on ${record.archive.onText}: ${record.archive.reason}`}>
            <span>It can be read, not changed.</span>
            {mayChangeRecords && <Button onPress={() => void restore()}>Restore</Button>}
        </Notice>
    );
}
