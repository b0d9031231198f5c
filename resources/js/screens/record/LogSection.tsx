import { useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { Button, QuietButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { momentText } from '../../ui/moment';
import { useSay } from '../../ui/StatusLine';
import { Quiet, Row, Small, Stack } from '../../ui/Text';
import { space } from '../../ui/tokens';
import { EntryForm } from './EntryForm';
import { PlainSection } from '../../shared/section/SectionFrame';
import type { RecordData } from './sections/spec';
import { useMayEdit } from './useMayEdit';
import { useRecordAction } from './useRecordAction';

type Change = Schemas['Change'];
type Entry = Schemas['LogEntry'];
type Show = 'all' | 'entries' | 'changes';

const Entries = styled.ol`
    display: grid;
    gap: ${space.medium};
    width: 100%;
    margin: 0;
    padding: 0;
    list-style: none;
    li { overflow-wrap: anywhere; }
    del { color: var(--quiet); }
    ins { text-decoration: none; }
`;

const Text = styled.p`white-space: pre-wrap;`;

const SHOWN = [{ id: 'all', name: 'everything' }, { id: 'entries', name: 'entries only' }, { id: 'changes', name: 'changes only' }];

/** What happened with the record: what people wrote, and who changed what, in one stream. */
export function LogSection({ record }: { record: RecordData }) {
    const { id } = record.party;
    const mayEdit = useMayEdit(record);
    const [show, setShow] = useState<Show>('all');
    const [isWriting, setWriting] = useState(false);
    const { data, isError, hasNextPage, fetchNextPage, refetch } = useInfiniteQuery({
        queryKey: ['records', 'changes', id, show],
        queryFn: ({ pageParam }) => ask(api.GET('/api/parties/{id}/changes', {
            params: { path: { id }, query: { show, ...(pageParam === undefined ? {} : { before: pageParam }) } },
        })),
        initialPageParam: undefined as number | undefined,
        getNextPageParam: (last) => last.before ?? undefined,
    });
    const changes = data?.pages.flatMap((page) => page.changes) ?? [];

    return (
        <PlainSection
            id="log"
            title="Log"
            isInternal
            tools={mayEdit && !isWriting && <QuietButton data-edit onPress={() => setWriting(true)}>Write an entry</QuietButton>}
        >
            <Stack $gap="medium" $stretch>
                {isWriting && <EntryForm id={id} onClose={() => setWriting(false)} />}
                <ChooseOne label="Shown" width="word" options={SHOWN} value={show} onChange={(chosen) => setShow(chosen as Show)} />
                {isError && <Quiet>The log could not be loaded. <Button onPress={() => void refetch()}>Try again</Button></Quiet>}
                {data !== undefined && changes.length === 0 && <Quiet>Nothing yet.</Quiet>}
                <Entries>
                    {bySave(changes).map(({ first, changes: saved }) => (
                        <li key={first.id}>
                            {first.entry === null
                                ? <Saved first={first} changes={saved} />
                                : <Written record={record} entry={first.entry} mayEdit={mayEdit} />}
                        </li>
                    ))}
                </Entries>
                {hasNextPage && <Button onPress={() => void fetchNextPage()}>Show earlier</Button>}
            </Stack>
        </PlainSection>
    );
}

interface Save {
    first: Change;
    changes: Change[];
}

/** What one person saved at once stands under one line. */
function bySave(changes: Change[]): Save[] {
    const saves: Save[] = [];
    for (const change of changes) {
        const last = saves.at(-1);
        if (last !== undefined && change.entry === null && last.first.entry === null
            && last.first.at === change.at && last.first.by === change.by && last.first.section === change.section) {
            last.changes.push(change);
        } else {
            saves.push({ first: change, changes: [change] });
        }
    }
    return saves;
}

function Saved({ first, changes }: Save) {
    return (
        <>
            <Small><time dateTime={first.at}>{momentText(first.at)}</time> · {first.by} · {first.section}</Small>
            {changes.map(({ id, label, from, to }) => (
                <div key={id}>
                    {label}: {from === '' ? <ins>{to}</ins> : to === '' ? <><del>{from}</del> removed</> : (
                        <><del>{from}</del> → <ins>{to}</ins></>
                    )}
                </div>
            ))}
        </>
    );
}

/** An entry, with its pin. */
function Written({ record, entry, mayEdit }: { record: RecordData; entry: Entry; mayEdit: boolean }) {
    const { pin, remove } = useEntry(record, entry);
    return (
        <>
            <EntryHead entry={entry} />
            <Text>{entry.text}</Text>
            {mayEdit && (
                <Row $gap="small">
                    <QuietButton onPress={() => void pin(!entry.isPinned)}>{entry.isPinned ? 'Unpin it' : 'Pin it'}</QuietButton>
                    <QuietButton onPress={() => void remove()}>Remove</QuietButton>
                </Row>
            )}
        </>
    );
}

function EntryHead({ entry }: { entry: Entry }) {
    return (
        <Small>
            <strong>{entry.kind}</strong> · {entry.dayText} · {entry.by}
            {entry.with !== null && <> · with <Link to={`/records/${entry.with.id}`}>{entry.with.name}</Link></>}
        </Small>
    );
}

/** A note that is pinned to the head of the record. */
export function PinnedEntry({ record, entry }: { record: RecordData; entry: Entry }) {
    const { pin } = useEntry(record, entry);
    return (
        <div className="internal">
            <EntryHead entry={entry} />
            <Text>{entry.text}</Text>
            {useMayEdit(record) && <QuietButton onPress={() => void pin(false)}>Unpin it</QuietButton>}
        </div>
    );
}

function useEntry(record: RecordData, entry: Entry) {
    const act = useRecordAction();
    const say = useSay();
    const path = { params: { path: { id: record.party.id, logEntry: entry.id } } };
    const tell = async (done: string, call: () => Promise<RecordData>) => {
        try {
            await act(call);
            say(done);
        } catch (error) {
            say(`Not done. ${(error as Error).message}`);
        }
    };
    return {
        pin: (isPinned: boolean) => tell(
            isPinned ? 'Pinned to the head of the record.' : 'Unpinned; it stays in the log.',
            () => ask(api.PUT('/api/parties/{id}/entries/{logEntry}', { ...path, body: { isPinned } })),
        ),
        remove: () => tell('Removed; what it said stays in the log.', () => ask(api.DELETE('/api/parties/{id}/entries/{logEntry}', path))),
    };
}
