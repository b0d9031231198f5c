import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import { listFieldsQuery, type EngagementsWanted } from '../../api/queries';
import { useSession } from '../../api/session';
import { ColumnsButton } from '../../shared/lists/ColumnsDialog';
import { FilterLine } from '../../shared/lists/FilterLine';
import { ListTools } from '../../shared/lists/ListTools';
import { sortedBy, useListLook } from '../../shared/lists/useListLook';
import { useLines } from '../../shared/lists/useLines';
import type { LongLine } from '../../shared/lists/useLongList';
import { Button, QuietButton } from '../../ui/Button';
import { LongTable, type Choosing } from '../../ui/LongTable';
import { Menu } from '../../ui/Menu';
import { useShortcut } from '../../ui/shortcuts';
import { Hidden, Mark, Quiet, Row, Small, Stack } from '../../ui/Text';
import { needsReason, StageDialog } from './StageDialog';
import { useMoving } from './useMoving';

type EngagementRow = Schemas['EngagementRow'];
type Kind = Schemas['EngagementKind'];

const WIDTHS: Record<string, number> = { number: 270, client: 158, stage: 126, days: 126, owner: 112, agreed: 136 };

/** The column in which each is moved. */
const MOVE = { key: 'move', title: 'Move', isFigure: false, isSorted: false, isFromTop: false, width: 52 };

interface Props {
    list: {
        lineAt: (index: number) => LongLine<EngagementRow> | undefined;
        onRange: (first: number, last: number) => void;
        pages: Schemas['EngagementPage'][];
        isBehind: boolean;
    };
    page: Schemas['EngagementPage'];
    kinds: Kind[];
    wanted: EngagementsWanted;
    search: URLSearchParams;
    set: (part: Record<string, string>) => void;
}

/** Cases and projects, a line each, to be moved on in their stages one by one or several at once. */
export function EngagementList({ list, page, kinds, wanted, search, set }: Props) {
    const { mayChangeRecords } = useSession();
    const navigate = useNavigate();
    const [chosen, setChosen] = useState<number[]>([]);
    const look = useListLook('engagements', page.columns, WIDTHS);
    const lastChosen = useRef(0);
    const { lineAt } = list;
    const rows = list.pages.flatMap((one) => one.rows);
    const { total: count } = page;
    const { asked, stagesOf, move, moveTo, said, leave } = useMoving(kinds, () => setChosen([]));
    const picked = rows.filter(({ id }) => chosen.includes(id));
    const { lines, isActive, placeOf, isInList, begin } = useLines(count, search, (index) => {
        const line = lineAt(index);
        return line && `/engagements/${line.row.id}`;
    });
    useQuery(listFieldsQuery('engagements'));

    const atHand = () => {
        const line = isInList() ? lineAt(lines.active) : undefined;
        return picked.length > 0 ? picked : line === undefined ? [] : [line.row];
    };
    useShortcut('.', 'Move on: the line at hand, or those chosen', () => mayChangeRecords && void move(atHand(), 1));
    useShortcut(',', 'Move back: the line at hand, or those chosen', () => mayChangeRecords && void move(atHand(), -1));

    const mark = (ids: readonly number[], isOn: boolean) => setChosen(isOn
        ? [...new Set([...chosen, ...ids])]
        : chosen.filter((id) => !ids.includes(id)));
    /** They are moved one by one from here, so only what has been read is chosen from. */
    const choosing: Choosing = {
        has: (index) => chosen.includes(lineAt(index)?.row.id ?? 0),
        isAll: picked.length > 0 && picked.length === rows.length,
        isSome: picked.length > 0,
        toggle: (index) => {
            const id = lineAt(index)?.row.id;
            if (id !== undefined) {
                lastChosen.current = index;
                mark([id], !chosen.includes(id));
            }
        },
        reach: (index) => {
            const [from, to] = [Math.min(lastChosen.current, index), Math.max(lastChosen.current, index)];
            mark(Array.from({ length: to - from + 1 }, (_, at) => lineAt(from + at)?.row.id).filter((id) => id !== undefined), true);
        },
        all: (isOn) => setChosen(isOn ? rows.map(({ id }) => id) : []),
    };
    return (
        <Stack $gap="small" $stretch>
            <FilterLine
                of="engagements"
                everything="All of them"
                example="open in VT, looked after by nobody"
                asked={wanted.filter}
                isBehind={list.isBehind}
                filter={page.filter}
                onFilter={(filter) => {
                    begin();
                    set({ filter });
                }}
            >
                <ColumnsButton
                    of="engagements"
                    first="number"
                    columns={page.columns}
                    onDone={(keys) => {
                        set({ columns: '' });
                        void look.keep(keys);
                    }}
                />
                <ListTools of="engagements" search={search} onOpen={(address) => void navigate(address)} />
            </FilterLine>
            {picked.length > 0 && (
                <Row $gap="small" role="group" aria-label="Chosen">
                    <strong>{picked.length} chosen</strong>
                    <Button onPress={() => void move(picked, 1)}>Move on</Button>
                    <Button onPress={() => void move(picked, -1)}>Move back</Button>
                    <QuietButton onPress={() => setChosen([])}>Choose none</QuietButton>
                </Row>
            )}
            {count === 0
                ? <Quiet>Nothing in the book matches that. Choose another stage, or take a filter away.</Quiet>
                : (
                    <LongTable
                        {...lines}
                        label="Cases and projects"
                        columns={mayChangeRecords ? [...look.shown, MOVE] : look.shown}
                        idOf={(index) => lineAt(index)?.row.id}
                        nameOf={(index) => lineAt(index)?.row.number ?? ''}
                        cell={(index, { key }) => {
                            const line = lineAt(index);
                            if (line === undefined) {
                                return null;
                            }
                            const { row } = line;
                            return key === MOVE.key ? (
                                <Menu
                                    label={<Hidden>Move {row.number}</Hidden>}
                                    items={[
                                        ...stagesOf(row).filter(({ id, isRetired }) => id !== row.stage.id && !isRetired).map((stage) => ({
                                            id: String(stage.id),
                                            name: `to “${stage.name}”${needsReason(row.stage, stage) ? ' …' : ''}`,
                                            onChoose: () => moveTo(row, stage),
                                        })),
                                        { id: 'open', name: 'Open it', onChoose: () => void navigate(`/engagements/${row.id}`) },
                                    ]}
                                />
                            ) : (
                                <Cell
                                    row={row}
                                    columnKey={key}
                                    text={line.cells[page.columns.findIndex((column) => column.key === key)] ?? ''}
                                    place={placeOf(index)}
                                    isActive={isActive(index)}
                                />
                            );
                        }}
                        onRange={list.onRange}
                        sort={page.sort}
                        onSort={(key, isMore) => {
                            begin();
                            set({ sort: sortedBy(page.sort, key, isMore) });
                        }}
                        onWidth={look.onWidth}
                        {...(mayChangeRecords ? { choosing } : {})}
                    />
                )}
            {asked !== undefined && (
                <StageDialog
                    row={asked.row}
                    stages={stagesOf(asked.row)}
                    to={asked.to}
                    onClose={leave}
                    onMoved={(moved) => said([moved])}
                />
            )}
        </Stack>
    );
}

interface CellProps {
    row: EngagementRow;
    columnKey: string;
    text: string;
    place: { list: string; at: number };
    isActive: boolean;
}

function Cell({ row, columnKey, text, place, isActive }: CellProps) {
    const { officeCurrency } = useSession();
    switch (columnKey) {
        case 'number':
            return (
                <>
                    <Link className="name" to={`/engagements/${row.id}`} state={place} tabIndex={isActive ? 0 : -1}>{row.number} {row.title}</Link>{' '}
                    {row.isPrivate && <Small>private</Small>} {row.place !== '' && <Small>{row.place}</Small>}
                </>
            );
        case 'client':
            return row.clients.map(({ id, name }, at) => (
                <span key={id}>{at > 0 && ', '}<Link to={`/records/${id}`} tabIndex={isActive ? 0 : -1}>{name}</Link></span>
            ));
        case 'days':
            return row.isClosed ? <>{row.sinceText}</> : (
                <Days of={row.days} areTooMany={row.standsTooLong} />
            );
        case 'agreed':
            return row.agreed === null && row.weighed !== null
                ? <Small>{row.weighed.currency === officeCurrency ? '' : `${row.weighed.currency} `}{row.weighed.text} weighed</Small>
                : <>{text}</>;
        default:
            return <>{text}</>;
    }
}

function Days({ of, areTooMany }: { of: number; areTooMany: boolean }) {
    const text = `${of} ${of === 1 ? 'day' : 'days'}`;
    return areTooMany ? <Mark tone="look"><Hidden>too long: </Hidden>{text}</Mark> : <>{text}</>;
}
