import { useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { Button, QuietButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { momentText } from '../../ui/moment';
import { useSay } from '../../ui/StatusLine';
import { Quiet, Row, Small, Stack } from '../../ui/Text';
import { space } from '../../ui/tokens';
import { EntryForm } from './EntryForm';
import { PlainSection } from '../section/SectionFrame';

type Change = Schemas['Change'];
type Entry = Schemas['LogEntry'];
export type Show = 'all' | 'entries' | 'changes';

/** How the log of something is read and written. */
export interface LogOf {
    id: number;
    mayEdit: boolean;
    /** Where it is read as it was on a past day. */
    pastHref: string;
    /** Under which its stretches are kept. */
    queryKey: readonly unknown[];
    read: (show: Show, before: number | undefined) => Promise<Schemas['Changes']>;
    write: (entry: Schemas['LogEntryInput']) => Promise<void>;
    pin: (entryId: number, isPinned: boolean) => Promise<void>;
    remove: (entryId: number) => Promise<void>;
}

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

/** What happened with it: what people wrote, and who changed what, in one stream. */
export function LogSection({ log }: { log: LogOf }) {
    const { mayEdit } = log;
    const [show, setShow] = useState<Show>('all');
    const [isWriting, setWriting] = useState(false);
    const { data, isError, hasNextPage, fetchNextPage, refetch } = useInfiniteQuery({
        queryKey: [...log.queryKey, show],
        queryFn: ({ pageParam }) => log.read(show, pageParam),
        initialPageParam: undefined as number | undefined,
        getNextPageParam: (last) => last.before ?? undefined,
    });
    const changes = data?.pages.flatMap((page) => page.changes) ?? [];

    return (
        <PlainSection
            id="log"
            title="Log"
            isInternal
            tools={!isWriting && (
                <>
                    {mayEdit && <QuietButton data-edit onPress={() => setWriting(true)}>Write an entry</QuietButton>}
                    <Small><Link to={log.pastHref}>As it was on a day</Link></Small>
                </>
            )}
        >
            <Stack $gap="medium" $stretch>
                {isWriting && <EntryForm log={log} onClose={() => setWriting(false)} />}
                <ChooseOne label="Shown" width="word" options={SHOWN} value={show} onChange={(chosen) => setShow(chosen as Show)} />
                {isError && <Quiet>The log could not be loaded. <Button onPress={() => void refetch()}>Try again</Button></Quiet>}
                {data !== undefined && changes.length === 0 && <Quiet>Nothing yet.</Quiet>}
                <Entries>
                    {bySave(changes).map(({ first, changes: saved }) => (
                        <li key={first.id}>
                            {first.entry === null
                                ? <Saved first={first} changes={saved} />
                                : <Written log={log} entry={first.entry} />}
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
function Written({ log, entry }: { log: LogOf; entry: Entry }) {
    const { pin, remove } = useEntry(log, entry);
    return (
        <>
            <EntryHead entry={entry} />
            <Text>{entry.text}</Text>
            {log.mayEdit && (
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

/** A note that is pinned to the head of the page. */
export function PinnedEntry({ log, entry }: { log: LogOf; entry: Entry }) {
    const { pin } = useEntry(log, entry);
    return (
        <div className="internal">
            <EntryHead entry={entry} />
            <Text>{entry.text}</Text>
            {log.mayEdit && <QuietButton onPress={() => void pin(false)}>Unpin it</QuietButton>}
        </div>
    );
}

function useEntry(log: LogOf, entry: Entry) {
    const say = useSay();
    const tell = async (done: string, call: () => Promise<void>) => {
        try {
            await call();
            say(done);
        } catch (error) {
            say(`Not done. ${(error as Error).message}`);
        }
    };
    return {
        pin: (isPinned: boolean) => tell(
            isPinned ? 'Pinned to the head of the page.' : 'Unpinned; it stays in the log.',
            () => log.pin(entry.id, isPinned),
        ),
        remove: () => tell('Removed; what it said stays in the log.', () => log.remove(entry.id)),
    };
}
