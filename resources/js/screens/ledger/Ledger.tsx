import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { paymentsQuery, recordQuery, type LedgerWanted } from '../../api/queries';
import { FilterForm } from '../../shared/FilterForm';
import { titleOf, useTitles } from '../../shared/titles';
import { useWanted } from '../../shared/useWanted';
import { Unread } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { ButtonLink, QuietButton } from '../../ui/Button';
import { ChooseOne, type Option } from '../../ui/Choose';
import { Sheet } from '../../ui/Page';
import { Pager } from '../../ui/Pager';
import { Mark, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { Table, TableScroll } from '../../ui/Table';
import { useRowKeys } from '../../ui/useRowKeys';
import { DocumentList } from './DocumentList';

/** Everything, or one of them. The list cannot hold an empty choice: all of them is one. */
function orAll(all: string, options: Option[]): Option[] {
    return [{ id: 'all', name: all }, ...options];
}

/** All documents and payments, with filters and what they come to. */
export function Ledger() {
    useTitle('Ledger');
    const { search, wanted, page, set, go } = useWanted<LedgerWanted>('all', ['what', 'list']);
    const showsPayments = search.get('what') === 'payments';

    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $stretch>
                <Row>
                    <Title>Ledger</Title>
                    {showsPayments ? <Link to="/ledger">Documents</Link> : <strong>Documents</strong>}
                    {showsPayments ? <strong>Payments</strong> : <Link to="/ledger?what=payments">Payments</Link>}
                    <ButtonLink href="/ledger/tax-report">Tax report</ButtonLink>
                    <ButtonLink href="/imports">Import a file</ButtonLink>
                    <ButtonLink href="/outbox">Outbox</ButtonLink>
                </Row>
                <Filters key={search.get('q') ?? ''} wanted={wanted} set={set} showsPayments={showsPayments} />
                {showsPayments ? (
                    <Payments wanted={wanted} page={page} onGo={go} />
                ) : (
                    <DocumentList wanted={wanted} search={search} set={set} />
                )}
            </Stack>
        </Sheet>
    );
}

function Filters({
    wanted,
    set,
    showsPayments,
}: {
    wanted: LedgerWanted;
    set: (part: Record<string, string>) => void;
    showsPayments: boolean;
}) {
    const kinds = useTitles('documentKinds');
    const states = useTitles('listedStates');
    const sides = useTitles('sides');
    const buckets = useTitles('ageingBuckets');
    const { data: record } = useQuery({ ...recordQuery(Number(wanted.partyId)), enabled: wanted.partyId !== undefined });
    return (
        <FilterForm
            label="Number, reference or name"
            words={wanted.q ?? ''}
            onSearch={(q) => set({ q })}
            also={
                <>
                    {wanted.partyId !== undefined && (
                        <QuietButton onPress={() => set({ partyId: '' })}>only {record?.party.displayName ?? 'one record'} ✕</QuietButton>
                    )}
                    {wanted.bucket !== undefined && (
                        <QuietButton onPress={() => set({ bucket: '' })}>only {titleOf(buckets, wanted.bucket)} ✕</QuietButton>
                    )}
                    {wanted.currency !== undefined && <QuietButton onPress={() => set({ currency: '' })}>only {wanted.currency} ✕</QuietButton>}
                    {(wanted.from ?? wanted.to) !== undefined && (
                        <QuietButton onPress={() => set({ from: '', to: '' })}>
                            {wanted.from} to {wanted.to} ✕
                        </QuietButton>
                    )}
                </>
            }
        >
            {!showsPayments && (
                <ChooseOne
                    label="Kind"
                    width="word"
                    options={orAll('every kind', kinds)}
                    value={wanted.kind ?? 'all'}
                    onChange={(kind) => set({ kind })}
                />
            )}
            {!showsPayments && (
                <ChooseOne
                    label="State"
                    width="day"
                    options={orAll('every state', states)}
                    value={wanted.state ?? 'all'}
                    onChange={(state) => set({ state })}
                />
            )}
            <ChooseOne
                label="Side"
                width="day"
                options={orAll('both sides', sides)}
                value={wanted.side ?? 'all'}
                onChange={(side) => set({ side })}
            />
        </FilterForm>
    );
}

interface ListProps {
    wanted: LedgerWanted;
    page: number;
    onGo: (page: number) => void;
}

function Payments({ wanted, page, onGo }: ListProps) {
    const ways = useTitles('waysToPay');
    const { data, error, refetch } = useQuery({ ...paymentsQuery(wanted, page), placeholderData: keepPreviousData });
    const body = useRowKeys<HTMLDivElement>();
    if (error !== null) {
        return <Unread what="The payments" error={error} retry={() => void refetch()} />;
    }
    if (data?.total === 0) {
        return <Quiet>No such payment. Record payments from the page of a record, under Documents.</Quiet>;
    }
    return (
        <div ref={body} aria-busy={data === undefined}>
            {data !== undefined && (
                <Stack $stretch>
                    <Quiet>{data.total === 1 ? '1 payment' : `${data.total.toLocaleString('en')} payments`}</Quiet>
                    <TableScroll>
                        <Table>
                            <thead>
                                <tr>
                                    <th>Payment</th>
                                    <th>From or to</th>
                                    <th>How</th>
                                    <th>Reference</th>
                                    <th className="figure">Amount</th>
                                    <th className="figure">Not used yet</th>
                                </tr>
                            </thead>
                            <tbody>
                                {data.rows.map((row) => (
                                    <tr key={row.id}>
                                        <td className="tight">
                                            <Link className="name" to={`/payments/${row.id}`}>
                                                {row.side === 'client' ? 'In' : 'Out'}, {row.dayText}
                                            </Link>
                                        </td>
                                        <td>
                                            <Link to={`/records/${row.party.id}`}>{row.party.name}</Link>
                                        </td>
                                        <td>
                                            {titleOf(ways, row.payBy)}
                                            {row.isVoid && (
                                                <>
                                                    {' '}
                                                    <Mark tone="look">void</Mark>
                                                </>
                                            )}
                                        </td>
                                        <td>
                                            <Small>{row.reference}</Small>
                                        </td>
                                        <td className="figure">
                                            {row.amount.currency} {row.amount.text}
                                        </td>
                                        <td className="figure">{row.unallocated.sign === 0 ? '' : row.unallocated.text}</td>
                                    </tr>
                                ))}
                            </tbody>
                            <tfoot>
                                {data.sums.map(({ total, open }) => (
                                    <tr key={total.currency}>
                                        <th colSpan={4} scope="row">
                                            Total, {total.currency}
                                        </th>
                                        <td className="figure">
                                            {total.currency} {total.text}
                                        </td>
                                        <td className="figure">{open.text}</td>
                                    </tr>
                                ))}
                            </tfoot>
                        </Table>
                    </TableScroll>
                    <Pager page={data.page} pages={data.pages} onGo={onGo} />
                </Stack>
            )}
        </div>
    );
}
