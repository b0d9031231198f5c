import { useQuery } from '@tanstack/react-query';
import { useCallback, useRef, useState } from 'react';
import { Link, useLocation, useNavigate, useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { forget, lettersQuery, listFieldsQuery, type WantedList } from '../../api/queries';
import { useSession } from '../../api/session';
import { EmptyDesk } from '../../shared/EmptyDesk';
import { MainButton, QuietButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { LongTable, type LongColumn, type SortedBy } from '../../ui/LongTable';
import { Beside, Foot, Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { useShortcut } from '../../ui/shortcuts';
import { Empty, Hidden, Mark, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { ThumbIndex } from '../../ui/ThumbIndex';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { BulkDialog } from './BulkDialog';
import { ColumnsDialog } from './ColumnsDialog';
import { FilterLine } from './FilterLine';
import { ListTools } from './ListTools';
import { Peek } from './Peek';
import { useChoosing } from './useChoosing';
import { useDirectory, type Line } from './useDirectory';

/** How wide a column is before somebody draws it otherwise. */
const WIDTHS: Record<string, number> = { receivable: 108, name: 204, role: 110, place: 136, phone: 150, email: 220 };

function usualWidth({ key, isFigure, title }: Schemas['Column']): number {
    return WIDTHS[key] ?? Math.max(isFigure ? 98 : 140, title.length * 8 + 22);
}

/** As a sort stands in the address: the keys, with a minus the other way round. */
function sortText(sort: SortedBy[]): string {
    const text = sort.map(({ key, isReversed }) => `${isReversed ? '-' : ''}${key}`).join(',');
    return text === 'name' ? '' : text;
}

/** Everybody, or those that a sentence asks for. */
export function Directory() {
    const [search, setSearch] = useSearchParams();
    const location = useLocation();
    const navigate = useNavigate();
    const say = useSay();
    const wanted: WantedList = Object.fromEntries(
        ['filter', 'sort', 'columns', 'archived'].flatMap((key) => search.get(key) === null ? [] : [[key, search.get(key)]]),
    );
    const list = useDirectory(wanted);
    const { page } = list;
    const [active, setActive] = useState(() => (location.state as { at?: number } | null)?.at ?? 0);
    const [isChoosing, setChoosing] = useState(false);
    const [isChanging, setChanging] = useState(false);
    const { mayChangeRecords } = useSession();
    const [widths, setWidths] = useState<Record<string, number>>({});
    const go = useRef<(index: number) => void>(undefined);
    useTitle('Directory');

    const set = (part: Record<string, string>) => {
        const next = new URLSearchParams(search);
        for (const [key, value] of Object.entries(part)) {
            if (value === '') {
                next.delete(key);
            } else {
                next.set(key, value);
            }
        }
        setActive(0);
        setSearch(next);
    };
    const sort = page?.sort ?? [];
    const onSort = (key: string, isMore: boolean) => {
        const at = sort.findIndex((one) => one.key === key);
        const turned = { key, isReversed: at === -1 ? false : !(sort[at]?.isReversed ?? false) };
        const several = at === -1 ? [...sort, turned] : sort.map((one, n) => n === at ? turned : one);
        set({ sort: sortText(isMore ? several : [turned]) });
    };
    const keepColumns = async (keys: string[], wide = widths) => {
        const before = new Map(page?.columns.map(({ key, width }) => [key, width]));
        try {
            await ask(api.PUT('/api/parties/look', {
                body: { columns: keys.map((key) => ({ key, width: wide[key] ?? before.get(key) ?? null })) },
            }));
            await forget(['records', 'directory']);
        } catch (error) {
            say(`The columns are not kept. ${(error as Error).message}`);
        }
    };
    const kept = useRef<ReturnType<typeof setTimeout>>(undefined);
    const onWidth = (key: string, width: number) => {
        const next = { ...widths, [key]: width };
        setWidths(next);
        clearTimeout(kept.current);
        kept.current = setTimeout(() => void keepColumns(page?.columns.map((one) => one.key) ?? [], next), 600);
    };

    const count = page?.total ?? 0;
    const last = Math.max(0, count - 1);
    const isByName = sort.length === 1 && sort[0]?.key === 'name' && !sort[0].isReversed;
    const { data: letters = [] } = useQuery({ ...lettersQuery(wanted), enabled: isByName && count > 20 });
    // Before they are chosen from.
    useQuery(listFieldsQuery);
    const [isPeeking, setPeeking] = useState(false);
    useShortcut('p', 'A look at the record beside the list', () => setPeeking(!isPeeking));
    const peeked = list.lineAt(Math.min(active, last))?.party.id;
    const isInList = () => document.activeElement?.closest('[role=grid] tbody') != null;
    useShortcut('j', 'Next line of the list', () => go.current?.(isInList() ? Math.min(last, active + 1) : active));
    useShortcut('k', 'Line before', () => go.current?.(isInList() ? Math.max(0, active - 1) : active));

    const { lineAt, onRange } = list;
    const { choosing, count: chosen, input, clear } = useChoosing(wanted, count, (index) => lineAt(index)?.party.id);
    const open = useCallback((index: number) => {
        const line = lineAt(index);
        if (line !== undefined) {
            void navigate(`/records/${line.party.id}`, { state: { list: search.toString(), at: index } });
        }
    }, [lineAt, navigate, search]);

    if (list.error !== null) {
        return <AwaitedSheet what="The directory" error={list.error} retry={() => void list.refetch()} />;
    }
    if (page?.total === 0 && page.archived === 0 && page.filter.sentence === '' && page.filter.isWhole) {
        return <EmptyDesk />;
    }
    const counted = new URLSearchParams({
        ...(wanted.filter === undefined ? {} : { filter: wanted.filter }),
        ...(wanted.archived === undefined ? {} : { archived: wanted.archived }),
    });
    const columns: LongColumn[] = (page?.columns ?? []).map((column) => ({
        ...column, width: widths[column.key] ?? column.width ?? usualWidth(column),
    }));

    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={page === undefined}>
            {page !== undefined && (
                <Stack $gap="medium" $stretch>
                    <Row>
                        <Title>Directory</Title>
                        <Quiet aria-live="polite">{page.total === 1 ? '1 record' : `${page.total.toLocaleString('en')} records`}</Quiet>
                        {page.archived > 0 && (
                            <Tick
                                isSelected={wanted.archived === '1'}
                                onChange={(isSelected) => set({ archived: isSelected ? '1' : '' })}
                            >{`show archived too (${page.archived})`}</Tick>
                        )}
                        <QuietButton onPress={() => setChoosing(true)}>Columns</QuietButton>
                        <QuietButton onPress={() => void navigate(`/directory/counted?${counted.toString()}`)}>Count</QuietButton>
                        <ListTools search={search} onOpen={(address) => void navigate(address)} />
                    </Row>
                    <FilterLine
                        sentence={list.isBehind || page.filter.misread.length > 0 ? wanted.filter ?? '' : page.filter.sentence}
                        filter={page.filter}
                        onFilter={(filter) => set({ filter })}
                    />
                    {page.total === 0 ? (
                        <Empty>
                            <p>Nobody in the book is that. Take out a part above, or ask for something else.</p>
                        </Empty>
                    ) : (
                        <Beside>
                            <LongTable
                                label="Records"
                                columns={columns}
                                total={page.total}
                                idOf={(index) => lineAt(index)?.party.id}
                                nameOf={(index) => lineAt(index)?.party.fileAs ?? ''}
                                cell={(index, column) => {
                                    const line = lineAt(index);
                                    const at = page.columns.findIndex(({ key }) => key === column.key);
                                    return line === undefined ? null : (
                                        <Cell
                                            line={line}
                                            columnKey={column.key}
                                            text={line.cells[at] ?? ''}
                                            isOverLimit={list.overLimit.has(line.party.id)}
                                            place={{ list: search.toString(), at: index }}
                                            isActive={index === active}
                                        />
                                    );
                                }}
                                onRange={onRange}
                                sort={sort}
                                onSort={onSort}
                                onWidth={onWidth}
                                active={Math.min(active, last)}
                                onActive={setActive}
                                onOpen={open}
                                {...(mayChangeRecords ? { choosing } : {})}
                                goTo={(to) => { go.current = to; }}
                            />
                            {isPeeking && peeked !== undefined && <Peek id={peeked} onClose={() => setPeeking(false)} />}
                            {isByName && letters.length > 1 && <ThumbIndex letters={letters} onGo={(at) => go.current?.(at)} />}
                        </Beside>
                    )}
                    {chosen > 0 && (
                        <Foot aria-label="What is chosen">
                            <strong aria-live="polite">{chosen.toLocaleString('en')} chosen</strong>
                            <MainButton onPress={() => setChanging(true)}>Change them …</MainButton>
                            {!choosing.isAll && (
                                <QuietButton onPress={() => choosing.all(true)}>{`Choose all ${count.toLocaleString('en')}`}</QuietButton>
                            )}
                            <QuietButton onPress={clear}>Choose none</QuietButton>
                            <Small>Space chooses, Shift reaches, Ctrl+A all</Small>
                        </Foot>
                    )}
                    {page.columns.some(({ isFigure }) => isFigure) && <Small>Amounts without a currency are in {page.currency}.</Small>}
                </Stack>
            )}
            {isChanging && <BulkDialog chosen={input} count={chosen} onClose={() => setChanging(false)} />}
            {isChoosing && page !== undefined && (
                <ColumnsDialog
                    columns={page.columns.map(({ key }) => key)}
                    onClose={() => setChoosing(false)}
                    onDone={(keys) => {
                        setChoosing(false);
                        set({ columns: '' });
                        void keepColumns(keys);
                    }}
                />
            )}
        </Sheet>
    );
}

interface CellProps {
    line: Line;
    columnKey: string;
    text: string;
    isOverLimit: boolean;
    /** Where it stands in which list. */
    place: { list: string; at: number };
    isActive: boolean;
}

/** What stands in a column of a line. */
function Cell({ line: { party }, columnKey, text, isOverLimit, place, isActive }: CellProps) {
    if (columnKey === 'name') {
        return (
            <>
                <Link className="name" to={`/records/${party.id}`} state={place} tabIndex={isActive ? 0 : -1}>
                    {text}
                </Link>
                {party.kind === 'company' && <Hidden> (company)</Hidden>}
                {isOverLimit && <Hidden> (over the credit limit)</Hidden>}
                {party.isArchived && <> <Small>archived</Small></>} {party.position !== '' && <Small>{party.position}</Small>}
            </>
        );
    }
    return columnKey === 'receivable' && isOverLimit ? <Mark tone="stop">{text}</Mark> : <>{text}</>;
}
