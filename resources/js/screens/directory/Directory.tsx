import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { directoryQuery, lettersQuery, listFieldsQuery, wantedIn } from '../../api/queries';
import { useSession } from '../../api/session';
import { EmptyDesk } from '../../shared/EmptyDesk';
import { ColumnsButton } from '../../shared/lists/ColumnsDialog';
import { FilterLine } from '../../shared/lists/FilterLine';
import { LabelsDialog } from '../../shared/lists/LabelsDialog';
import { ListTools } from '../../shared/lists/ListTools';
import { SIZE_OF } from '../../shared/lists/pages';
import { sortedBy, useListLook } from '../../shared/lists/useListLook';
import { useLines } from '../../shared/lists/useLines';
import { useLongList, type LongLine } from '../../shared/lists/useLongList';
import { useTitles } from '../../shared/titles';
import { addressWith } from '../../shared/useWanted';
import { ButtonLink, MainButton, QuietButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { LongTable } from '../../ui/LongTable';
import { OneOf } from '../../ui/OneOf';
import { Beside, Foot, Sheet } from '../../ui/Page';
import { useShortcut } from '../../ui/shortcuts';
import { Empty, Hidden, Mark, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { ThumbIndex } from '../../ui/ThumbIndex';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { BulkDialog } from './BulkDialog';
import { Cards } from './Cards';
import { Peek } from './Peek';
import { PlacesView } from './PlacesView';
import { useChoosing } from './useChoosing';

/** So many records are made one at a time. */
const MOST_AT_ONCE = 10;

/** So many numbers stand in an address. */
const MOST_LABELLED = 1000;

/** How wide a column is before somebody draws it otherwise. */
const WIDTHS: Record<string, number> = {
    receivable: 108, name: 204, role: 110, place: 136, phone: 150, email: 220, reminder: 142, 'reminder-text': 236,
    last: 146, 'last-what': 158, owner: 116,
};

type View = Schemas['SavedList']['view'];

/** Everybody, or those that a sentence asks for. */
export function Directory() {
    const [search, setSearch] = useSearchParams();
    const navigate = useNavigate();
    const wanted = wantedIn(search);
    const view = (search.get('view') ?? 'table') as View;
    const list = useLongList((page) => directoryQuery(wanted, page), SIZE_OF.parties);
    const { page } = list;
    const look = useListLook('parties', page?.columns ?? [], WIDTHS);
    const [isChanging, setChanging] = useState(false);
    const [isLabelling, setLabelling] = useState(false);
    const { mayChangeRecords } = useSession();
    const views = useTitles('listViews');
    useTitle('Directory');

    const sort = page?.sort ?? [];
    const count = page?.total ?? 0;
    const { lineAt, onRange } = list;
    const { lines, isActive, placeOf, go, begin } = useLines(count, search, (index) => {
        const line = lineAt(index);
        return line && `/records/${line.row.id}`;
    });
    const set = (part: Record<string, string>) => {
        begin();
        setSearch(addressWith(part));
    };
    const isByName = sort.length === 1 && sort[0]?.key === 'name' && !sort[0].isReversed;
    const hasLetters = isByName && count > 20 && view !== 'map';
    const { data: letters = [] } = useQuery({ ...lettersQuery(wanted), enabled: hasLetters });
    // Before they are chosen from.
    useQuery(listFieldsQuery('parties'));
    const [isPeeking, setPeeking] = useState(false);
    useShortcut('p', 'A look at the record beside the list', () => setPeeking(!isPeeking));
    const peeked = lineAt(lines.active)?.row.id;

    const { choosing, count: chosen, input, clear } = useChoosing(wanted, count, (index) => lineAt(index)?.row.id);
    if (list.error !== null) {
        return <AwaitedSheet what="The directory" error={list.error} retry={() => void list.refetch()} />;
    }
    if (page?.total === 0 && page.archived === 0 && page.filter.sentence === '' && page.filter.isWhole) {
        return <EmptyDesk />;
    }
    const overLimit = new Set(list.pages.flatMap((one) => one.overLimit));
    const late = new Set(list.pages.flatMap((one) => one.late));
    const show = (next: View) => next === 'counted'
        ? void navigate(`/directory/counted?${addressWith({ view: '', sort: '', columns: '', list: '' }).toString()}`)
        : set({ view: next === 'table' ? '' : next });

    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={page === undefined}>
            {page !== undefined && (
                <Stack $gap="medium" $stretch>
                    <Row>
                        <Title>Directory</Title>
                        <Quiet aria-live="polite">{page.total === 1 ? '1 record' : `${page.total.toLocaleString('en')} records`}</Quiet>
                        <OneOf label="How it is looked at" options={views} value={view} onChange={show} />
                        {page.archived > 0 && (
                            <Tick
                                isSelected={wanted.archived === '1'}
                                onChange={(isSelected) => set({ archived: isSelected ? '1' : '' })}
                            >{`show archived too (${page.archived})`}</Tick>
                        )}
                        {view === 'table' && (
                            <ColumnsButton
                                of="parties"
                                first="name"
                                columns={page.columns}
                                onDone={(keys) => {
                                    set({ columns: '' });
                                    void look.keep(keys);
                                }}
                            />
                        )}
                        <ListTools of="parties" search={search} onOpen={(address) => void navigate(address)} />
                        {mayChangeRecords && <Link to="/imports">Import a file</Link>}
                    </Row>
                    <FilterLine
                        of="parties"
                        everything="Everybody"
                        example="clients in VT without an email, owing more than 500"
                        asked={wanted.filter}
                isBehind={list.isBehind}
                        filter={page.filter}
                        onFilter={(filter) => set({ filter })}
                    />
                    {page.total === 0 && (
                        <Empty>
                            <p>Nobody in the book is that. Take out a part above, or ask for something else.</p>
                        </Empty>
                    )}
                    {page.total > 0 && view === 'map' && (
                        <PlacesView
                            wanted={wanted}
                            total={page.total}
                            addressOf={(filter) => `/directory?${addressWith({ filter, view: '', list: '' }).toString()}`}
                            onFilter={(filter) => set({ filter })}
                        />
                    )}
                    {page.total > 0 && view !== 'map' && (
                        <Beside>
                            {view === 'cards' ? (
                                <Cards
                                    {...lines}
                                    onRange={onRange}
                                    columns={page.columns}
                                    lineAt={lineAt}
                                    overLimit={overLimit}
                                    list={search.toString()}
                                    choosing={mayChangeRecords ? choosing : undefined}
                                />
                            ) : (
                                <LongTable
                                    {...lines}
                                    onRange={onRange}
                                    label="Records"
                                    columns={look.shown}
                                    idOf={(index) => lineAt(index)?.row.id}
                                    nameOf={(index) => lineAt(index)?.row.fileAs ?? ''}
                                    cell={(index, column) => {
                                        const line = lineAt(index);
                                        const at = page.columns.findIndex(({ key }) => key === column.key);
                                        return line === undefined ? null : (
                                            <Cell
                                                line={line}
                                                columnKey={column.key}
                                                text={line.cells[at] ?? ''}
                                                isOverLimit={overLimit.has(line.row.id)}
                                                isLate={late.has(line.row.id)}
                                                place={placeOf(index)}
                                                isActive={isActive(index)}
                                            />
                                        );
                                    }}
                                    sort={sort}
                                    onSort={(key, isMore) => {
                                        const next = sortedBy(sort, key, isMore);
                                        set({ sort: next === 'name' && view === 'table' ? '' : next });
                                    }}
                                    {...(view === 'table' ? { onWidth: look.onWidth } : {})}
                                    {...(mayChangeRecords ? { choosing } : {})}
                                />
                            )}
                            {isPeeking && peeked !== undefined && <Peek id={peeked} onClose={() => setPeeking(false)} />}
                            {hasLetters && letters.length > 1 && <ThumbIndex letters={letters} onGo={go} />}
                        </Beside>
                    )}
                    {chosen > 0 && (
                        <Foot aria-label="What is chosen">
                            <strong aria-live="polite">{chosen.toLocaleString('en')} chosen</strong>
                            <MainButton onPress={() => setChanging(true)}>Change them …</MainButton>
                            {!input.isAll && chosen > 1 && chosen <= MOST_AT_ONCE && (
                                <ButtonLink href={`/upkeep/make-one?records=${input.ids.join(',')}`}>Make one …</ButtonLink>
                            )}
                            {!choosing.isAll && (
                                <QuietButton onPress={() => choosing.all(true)}>{`Choose all ${count.toLocaleString('en')}`}</QuietButton>
                            )}
                            {!input.isAll && chosen <= MOST_LABELLED && (
                                <>
                                    <QuietButton onPress={() => setLabelling(true)}>Labels</QuietButton>
                                    <QuietButton onPress={() => void navigate(`/letters/write?ids=${input.ids.join(',')}`)}>Letters</QuietButton>
                                </>
                            )}
                            <QuietButton onPress={clear}>Choose none</QuietButton>
                            <Small>Space chooses, Shift reaches, Ctrl+A all</Small>
                        </Foot>
                    )}
                    {page.columns.some(({ isFigure }) => isFigure) && <Small>Amounts without a currency are in {page.currency}.</Small>}
                </Stack>
            )}
            {isLabelling && <LabelsDialog asked={{ ids: input.ids.join(',') }} onClose={() => setLabelling(false)} />}
            {isChanging && <BulkDialog chosen={input} count={chosen} onClose={() => setChanging(false)} />}
        </Sheet>
    );
}

interface CellProps {
    line: LongLine<Schemas['PartyRow']>;
    columnKey: string;
    text: string;
    isOverLimit: boolean;
    /** Whether its reminder is past its day. */
    isLate: boolean;
    /** Where it stands in which list. */
    place: { list: string; at: number };
    isActive: boolean;
}

/** What stands in a column of a line. */
function Cell({ line: { row: party }, columnKey, text, isOverLimit, isLate, place, isActive }: CellProps) {
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
    if (columnKey === 'reminder' && isLate) {
        return <Mark tone="look">{text}<Hidden> (past its day)</Hidden></Mark>;
    }
    return columnKey === 'receivable' && isOverLimit ? <Mark tone="stop">{text}</Mark> : <>{text}</>;
}
