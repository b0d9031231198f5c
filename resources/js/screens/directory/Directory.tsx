import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { directoryQuery, type DirectorySort } from '../../api/queries';
import { EmptyDesk } from '../../app/EmptyDesk';
import { Unread } from '../../app/Unread';
import { useTitle } from '../../app/useTitle';
import { QuietButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { Sheet } from '../../ui/Page';
import { Pager } from '../../ui/Pager';
import { rolesOf } from '../../ui/PartyLine';
import { Hidden, Mark, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { Table, TableScroll } from '../../ui/Table';
import { useRowKeys } from '../../ui/useRowKeys';

const SORTS: DirectorySort[] = ['receivable', 'payable', 'overdue', 'days-to-pay'];

/** Everybody, as they are filed, or by what they owe and are owed. */
export function Directory() {
    const [search, setSearch] = useSearchParams();
    const page = Math.max(1, Number(search.get('page')) || 1);
    const withArchived = search.get('archived') === '1';
    const sort = SORTS.find((one) => one === search.get('sort')) ?? 'name';
    const isReversed = search.get('reversed') === '1';
    const { data, error, refetch } = useQuery({ ...directoryQuery(page, withArchived, sort, isReversed), placeholderData: keepPreviousData });
    const balances = new Map(data?.balances.map((balance) => [balance.partyId, balance]));
    const body = useRowKeys<HTMLTableSectionElement>();
    useTitle('Directory');

    const go = (to: number, archived: boolean, by: DirectorySort = sort, reversed = isReversed) => setSearch({
        ...(to > 1 ? { page: String(to) } : {}), ...(archived ? { archived: '1' } : {}), ...(by === 'name' ? {} : { sort: by }), ...(reversed ? { reversed: '1' } : {}),
    });
    const heading = (by: DirectorySort, name: string, isFigure = false) => (
        <th className={isFigure ? 'figure' : ''} aria-sort={sort === by ? ((by === 'name') === isReversed ? 'descending' : 'ascending') : 'none'}>
            <QuietButton onPress={() => go(1, withArchived, by, sort === by && !isReversed)}>{name}{sort === by && <span aria-hidden> {(by === 'name') === isReversed ? '↓' : '↑'}</span>}</QuietButton>
        </th>
    );

    if (error !== null) {
        return (
            <Sheet id="sheet" tabIndex={-1}>
                <Unread what="The directory" error={error} retry={() => void refetch()} />
            </Sheet>
        );
    }
    if (data?.total === 0 && data.archived === 0) {
        return <EmptyDesk />;
    }

    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={data === undefined}>
            <Stack $gap="large" style={{ justifyItems: 'stretch' }}>
                <Row>
                    <Title>Directory</Title>
                    {data !== undefined && <Quiet>{data.total === 1 ? '1 record' : `${data.total.toLocaleString('en')} records`}</Quiet>}
                    {data !== undefined && data.archived > 0 && (
                        <Tick isSelected={withArchived} onChange={(isSelected) => go(1, isSelected)}>{`show archived too (${data.archived})`}</Tick>
                    )}
                </Row>
                {sort !== 'name' && data !== undefined && <Quiet>Only who has something there, the {isReversed ? 'least' : 'most'} first. In {data.currency}. <QuietButton onPress={() => go(1, withArchived, 'name', false)}>Everybody by name</QuietButton></Quiet>}
                <TableScroll>
                    <Table>
                        <thead>
                            <tr>{heading('name', 'Name')}<th>Role</th><th>Place</th><th>Phone</th>{heading('receivable', 'Receivable', true)}{heading('overdue', 'Overdue', true)}{heading('payable', 'Payable', true)}{heading('days-to-pay', 'Days to pay', true)}</tr>
                        </thead>
                        <tbody ref={body}>
                            {data?.rows.map((party) => {
                                const balance = balances.get(party.id);
                                return (
                                    <tr key={party.id}>
                                        <td>
                                            <Link className="name" to={`/records/${party.id}`}>{party.fileAs}</Link>{party.kind === 'company' && <Hidden> (company)</Hidden>}
                                            {party.position !== '' && <> <Small>{party.position}</Small></>}
                                        </td>
                                        <td>{[party.isArchived ? 'archived' : '', rolesOf(party)].filter(Boolean).join(' · ')}</td>
                                        <td>{party.place}</td>
                                        <td className="tight">{party.phone}</td>
                                        <td className="figure">{balance?.isOverLimit === true && <><Mark tone="stop">over limit</Mark> </>}{balance?.receivable}</td>
                                        <td className="figure stop">{balance?.overdue}</td>
                                        <td className="figure">{balance?.payable}</td>
                                        <td className="figure">{balance?.daysToPay}</td>
                                    </tr>
                                );
                            })}
                        </tbody>
                    </Table>
                </TableScroll>
                {data !== undefined && <Pager page={page} pages={data.pages} onGo={(to) => go(to, withArchived)} />}
            </Stack>
        </Sheet>
    );
}
