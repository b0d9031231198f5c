import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { directoryQuery } from '../../api/queries';
import { EmptyDesk } from '../../shared/EmptyDesk';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { QuietButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { Sheet } from '../../ui/Page';
import { Pager } from '../../ui/Pager';
import { rolesOf } from '../../ui/PartyLine';
import { Hidden, Mark, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { Table, TableScroll } from '../../ui/Table';
import { useRowKeys } from '../../ui/useRowKeys';

type Column = Schemas['Column'];
type Cell = (party: Schemas['PartyRow'], balance: Schemas['PartyBalance'] | undefined) => ReactNode;

/** What stands in each column, by the key of its field. */
const CELLS: Record<string, Cell> = {
    name: (party) => (
        <>
            <Link className="name" to={`/records/${party.id}`}>
                {party.fileAs}
            </Link>
            {party.kind === 'company' && <Hidden> (company)</Hidden>} {party.position !== '' && <Small>{party.position}</Small>}
        </>
    ),
    role: (party) => [party.isArchived ? 'archived' : '', rolesOf(party)].filter(Boolean).join(' · '),
    place: (party) => party.place,
    phone: (party) => party.phone,
    receivable: (_, balance) => (
        <>
            {balance?.receivable}
            {balance?.isOverLimit === true && (
                <div>
                    <Mark tone="stop">over limit</Mark>
                </div>
            )}
        </>
    ),
    overdue: (_, balance) => balance?.overdue,
    payable: (_, balance) => balance?.payable,
    'days-to-pay': (_, balance) => balance?.daysToPay,
};

const LOOKS: Record<string, string> = { phone: 'tight', overdue: 'figure stop' };

/** Everybody, as they are filed, or by what they owe and are owed. */
export function Directory() {
    const [search, setSearch] = useSearchParams();
    const page = Math.max(1, Number(search.get('page')) || 1);
    const withArchived = search.get('archived') === '1';
    const sort = search.get('sort') ?? 'name';
    const isReversed = search.get('reversed') === '1';
    const { data, error, refetch } = useQuery({
        ...directoryQuery(page, withArchived, sort, isReversed),
        placeholderData: keepPreviousData,
    });
    const balances = new Map(data?.balances.map((balance) => [balance.partyId, balance]));
    const body = useRowKeys<HTMLTableSectionElement>();
    useTitle('Directory');

    const go = (to: number, archived: boolean, by = sort, reversed = isReversed) =>
        setSearch({
            ...(to > 1 ? { page: String(to) } : {}),
            ...(archived ? { archived: '1' } : {}),
            ...(by === 'name' ? {} : { sort: by }),
            ...(reversed ? { reversed: '1' } : {}),
        });
    const sorted = data?.columns.find(({ key }) => key === sort);
    const heading = ({ key, title, isFigure }: Column) => {
        const isDown = isFigure !== isReversed;
        return (
            <th
                key={key}
                className={isFigure ? 'figure' : ''}
                aria-sort={sort === key ? (isDown ? 'descending' : 'ascending') : 'none'}
            >
                <QuietButton onPress={() => go(1, withArchived, key, sort === key && !isReversed)}>
                    {title}
                    {sort === key && <span aria-hidden> {isDown ? '↓' : '↑'}</span>}
                </QuietButton>
            </th>
        );
    };

    if (error !== null) {
        return <AwaitedSheet what="The directory" error={error} retry={() => void refetch()} />;
    }
    if (data?.total === 0 && data.archived === 0) {
        return <EmptyDesk />;
    }

    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={data === undefined}>
            <Stack $gap="large" $stretch>
                <Row>
                    <Title>Directory</Title>
                    {data !== undefined && <Quiet>{data.total === 1 ? '1 record' : `${data.total.toLocaleString('en')} records`}</Quiet>}
                    {data !== undefined && data.archived > 0 && (
                        <Tick
                            isSelected={withArchived}
                            onChange={(isSelected) => go(1, isSelected)}
                        >{`show archived too (${data.archived})`}</Tick>
                    )}
                </Row>
                {sorted?.isPartial === true && data !== undefined && (
                    <Quiet>
                        Only those with an amount there, the {isReversed ? 'smallest' : 'largest'} first, in {data.currency}.{' '}
                        <QuietButton onPress={() => go(1, withArchived, 'name', false)}>Everybody by name</QuietButton>
                    </Quiet>
                )}
                <TableScroll>
                    <Table>
                        <thead>
                            <tr>{data?.columns.map(heading)}</tr>
                        </thead>
                        <tbody ref={body}>
                            {data?.rows.map((party) => (
                                <tr key={party.id}>
                                    {data.columns.map(({ key, isFigure }) => (
                                        <td key={key} className={LOOKS[key] ?? (isFigure ? 'figure' : '')}>
                                            {CELLS[key]?.(party, balances.get(party.id))}
                                        </td>
                                    ))}
                                </tr>
                            ))}
                        </tbody>
                    </Table>
                </TableScroll>
                {data !== undefined && <Pager page={page} pages={data.pages} onGo={(to) => go(to, withArchived)} />}
            </Stack>
        </Sheet>
    );
}
