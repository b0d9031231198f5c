import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { Button, QuietButton } from '../../ui/Button';
import { ChooseOne, Tick } from '../../ui/Choose';
import { momentText } from '../../ui/moment';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Quiet, Row, Small, Stack, SubHeading } from '../../ui/Text';
import { space } from '../../ui/tokens';
import { SubjectLink } from '../SubjectLink';
import { useTitles } from '../titles';
import { EntryForm } from './EntryForm';
import type { LogOf, Shown } from './log';
import { PlainSection } from '../section/SectionFrame';

type Line = Schemas['StreamLine'];
type Change = Schemas['Change'];
type Entry = Schemas['LogEntry'];

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

/** What happened with it, in one stream: what people wrote and sent, documents, payments, stages, and who changed what. */
export function LogSection({ log }: { log: LogOf }) {
    const { mayEdit } = log;
    const filters = useTitles('streamFilters');
    const [show, setShow] = useState<Shown['show']>('all');
    const [withPeople, setWithPeople] = useState(false);
    const [isWriting, setWriting] = useState(false);
    const { data, isError, hasNextPage, fetchNextPage, refetch } = useInfiniteQuery({
        queryKey: [...log.queryKey, show, withPeople],
        queryFn: ({ pageParam }) => log.read({ show, withPeople }, pageParam),
        initialPageParam: undefined as string | undefined,
        getNextPageParam: (last) => last.before ?? undefined,
        placeholderData: keepPreviousData,
    });
    const lines = data?.pages.flatMap((page) => page.lines) ?? [];

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
                <FieldRow $foot>
                    <ChooseOne label="Shown" width="name" options={filters} value={show} onChange={setShow} />
                    {log.hasPeople && <Tick isSelected={withPeople} onChange={setWithPeople}>with its people</Tick>}
                </FieldRow>
                {isError && <Quiet>The log could not be loaded. <Button onPress={() => void refetch()}>Try again</Button></Quiet>}
                {data !== undefined && lines.length === 0 && <Quiet>Nothing yet.</Quiet>}
                {byYear(lines).map(([year, ofYear]) => (
                    <Stack key={year} $gap="small" $stretch>
                        <SubHeading>{year}</SubHeading>
                        <Entries>{ofYear.map((line) => <li key={line.key}><OneLine log={log} line={line} /></li>)}</Entries>
                    </Stack>
                ))}
                {hasNextPage && <Button onPress={() => void fetchNextPage()}>Show earlier</Button>}
            </Stack>
        </PlainSection>
    );
}

function byYear(lines: Line[]): [number, Line[]][] {
    const years = new Map<number, Line[]>();
    for (const line of lines) {
        years.set(line.year, [...years.get(line.year) ?? [], line]);
    }
    return [...years];
}

const PLACES: Partial<Record<Line['kind'], string>> = { document: '/documents/', payment: '/payments/', stage: '/engagements/', meeting: '/meetings/' };

function OneLine({ log, line }: { log: LogOf; line: Line }) {
    const { entry, kind, changes, dayText, by, of, text, opensId } = line;
    const whose = <>{of !== null && <> · <SubjectLink subject={of} /></>}{line.from !== '' && <> · from {line.from}</>}</>;
    if (entry !== null) {
        return <Written log={log} entry={entry} whose={whose} />;
    }
    if (kind === 'changes') {
        return <ChangedOn line={line} saves={bySave(changes)} whose={whose} />;
    }
    const place = PLACES[kind];
    return (
        <>
            <Small>{dayText} · {by}{whose}</Small>
            <div>
                {opensId === null ? text : place === undefined
                    ? <a href={`/api/messages/${opensId}`} target="_blank" rel="noreferrer">{text}</a>
                    : <Link to={`${place}${opensId}`}>{text}</Link>}
            </div>
        </>
    );
}

/** What was changed on a day: at once where it was one save, else opened. */
function ChangedOn({ line, saves, whose }: { line: Line; saves: Save[]; whose: ReactNode }) {
    const [only] = saves;
    if (saves.length === 1 && only !== undefined) {
        return <Saved {...only} whose={whose} />;
    }
    return (
        <details>
            <summary><Small>{line.dayText} · {line.by}{whose}</Small> {line.text}</summary>
            <Entries>{saves.map((save) => <li key={save.first.id}><Saved {...save} whose={null} /></li>)}</Entries>
        </details>
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
        if (last !== undefined && last.first.at === change.at && last.first.by === change.by && last.first.section === change.section) {
            last.changes.push(change);
        } else {
            saves.push({ first: change, changes: [change] });
        }
    }
    return saves;
}

function Saved({ first, changes, whose }: Save & { whose: ReactNode }) {
    return (
        <>
            <Small><time dateTime={first.at}>{momentText(first.at)}</time> · {first.by} · {first.section}{whose}</Small>
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
function Written({ log, entry, whose }: { log: LogOf; entry: Entry; whose: ReactNode }) {
    const { pin, remove } = useEntry(log, entry);
    return (
        <>
            <EntryHead entry={entry} whose={whose} />
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

function EntryHead({ entry, whose }: { entry: Entry; whose?: ReactNode }) {
    return (
        <Small>
            <strong>{entry.kind}</strong> · {entry.dayText} · {entry.by}
            {entry.with !== null && <> · with <Link to={`/records/${entry.with.id}`}>{entry.with.name}</Link></>}
            {whose}
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
