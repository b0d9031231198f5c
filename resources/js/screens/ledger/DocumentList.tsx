import { useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import { documentsQuery, listFieldsQuery, type LedgerWanted } from '../../api/queries';
import { documentName, DueText, signOf } from '../../shared/DocumentTable';
import { ColumnsButton } from '../../shared/lists/ColumnsDialog';
import { FilterLine } from '../../shared/lists/FilterLine';
import { ListTools } from '../../shared/lists/ListTools';
import { SIZE_OF } from '../../shared/lists/pages';
import { sortedBy, useListLook } from '../../shared/lists/useListLook';
import { useLines } from '../../shared/lists/useLines';
import { useLongList, type LongLine } from '../../shared/lists/useLongList';
import { LongTable } from '../../ui/LongTable';
import { Empty, Quiet, Small, Stack, Sums } from '../../ui/Text';
import { Unread } from '../../ui/Unread';

const WIDTHS: Record<string, number> = { number: 214, party: 164, dated: 106, due: 212, state: 92, total: 112, open: 112, net: 112 };

/** With what is told of documents that were billed, what they are without tax. */
const BILLED = 'number,party,dated,due,state,net,total,open';

interface Props {
    wanted: LedgerWanted;
    search: URLSearchParams;
    set: (part: Record<string, string>) => void;
}

/** The documents of the ledger, with what the whole list comes to. */
export function DocumentList({ wanted, search, set }: Props) {
    const navigate = useNavigate();
    const asked: LedgerWanted = wanted.state === 'billed' && wanted.columns === undefined ? { ...wanted, columns: BILLED } : wanted;
    const list = useLongList((page) => documentsQuery(asked, page), SIZE_OF.documents);
    const { page, lineAt } = list;
    const look = useListLook('documents', page?.columns ?? [], WIDTHS);
    const count = page?.total ?? 0;
    const { lines, isActive, placeOf, begin } = useLines(count, search, (index) => {
        const line = lineAt(index);
        return line && `/documents/${line.row.id}`;
    });
    useQuery(listFieldsQuery('documents'));

    if (list.error !== null) {
        return <Unread what="The ledger" error={list.error} retry={() => void list.refetch()} />;
    }
    if (page === undefined) {
        return <div aria-busy />;
    }
    const isBare = page.filter.sentence === '' && page.filter.isWhole;
    return (
        <Stack $gap="small" $stretch>
            <FilterLine
                of="documents"
                everything="Every document"
                example="invoices in VT, overdue, above 500"
                asked={wanted.filter}
                isBehind={list.isBehind}
                filter={page.filter}
                onFilter={(filter) => {
                    begin();
                    set({ filter });
                }}
            >
                <Quiet aria-live="polite">{count === 1 ? '1 document' : `${count.toLocaleString('en')} documents`}</Quiet>
                <ColumnsButton
                    of="documents"
                    first="number"
                    columns={page.columns}
                    onDone={(keys) => {
                        set({ columns: '' });
                        void look.keep(keys);
                    }}
                />
                <ListTools of="documents" search={search} onOpen={(address) => void navigate(address)} />
            </FilterLine>
            {count === 0 ? (
                <Empty>
                    <p>
                        {isBare
                            ? 'No such document. Write documents from the page of a record, or import them from a file.'
                            : 'No document is that. Take out a part above, or ask for something else.'}
                    </p>
                </Empty>
            ) : (
                <LongTable
                    {...lines}
                    label="Documents"
                    columns={look.shown}
                    idOf={(index) => lineAt(index)?.row.id}
                    nameOf={(index) => lineAt(index)?.row.number ?? ''}
                    cell={(index, { key }) => {
                        const line = lineAt(index);
                        const at = page.columns.findIndex((column) => column.key === key);
                        return line !== undefined && (
                            <Cell line={line} columnKey={key} at={at} place={placeOf(index)} isActive={isActive(index)} />
                        );
                    }}
                    onRange={list.onRange}
                    sort={page.sort}
                    onSort={(key, isMore) => {
                        begin();
                        set({ sort: sortedBy(page.sort, key, isMore) });
                    }}
                    onWidth={look.onWidth}
                    below={64}
                />
            )}
            {page.sums.length > 0 && (
                <Sums aria-label="What the list comes to">
                    {page.sums.map(({ total, open, net }) => (
                        <li key={total.currency}>
                            <Small>Total, {total.currency}</Small> <strong>{total.text}</strong>
                            {wanted.state === 'billed' && <> <Small>without tax</Small> {net.text}</>}
                            {' '}<Small>open</Small> {open.text}
                        </li>
                    ))}
                </Sums>
            )}
            <Small>Amounts without a currency are in {page.currency}. Credits have a minus.</Small>
        </Stack>
    );
}

const AMOUNTS = ['total', 'net', 'tax', 'open'];

interface CellProps {
    line: LongLine<Schemas['DocumentRow']>;
    columnKey: string;
    /** Which of the columns it is. */
    at: number;
    place: { list: string; at: number };
    isActive: boolean;
}

function Cell({ line: { row, cells }, columnKey, at, place, isActive }: CellProps) {
    const text = cells[at] ?? '';
    switch (columnKey) {
        case 'number':
            return <Link className="name" to={`/documents/${row.id}`} state={place} tabIndex={isActive ? 0 : -1}>{documentName(row)}</Link>;
        case 'party':
            return <Link to={`/records/${row.party.id}`} tabIndex={isActive ? 0 : -1}>{row.party.name}</Link>;
        case 'due':
            return <DueText row={row} />;
        case 'state':
            return <Small>{row.stateWords}</Small>;
        // In a list of what is due on certain days, only what is due on them.
        case 'open':
            return <>{row.open.sign === 0 ? '' : `${signOf(row)}${row.open.text}`}</>;
        default:
            return <>{AMOUNTS.includes(columnKey) && text !== '' ? signOf(row) : ''}{text}</>;
    }
}
