import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { countsQuery, listFieldsQuery, monthsQuery, type WantedCounts } from '../../api/queries';
import { ListTools } from '../../shared/lists/ListTools';
import { useTitles } from '../../shared/titles';
import { addressWith } from '../../shared/useWanted';
import { Bar } from '../../ui/Bar';
import { ButtonLink, QuietButton } from '../../ui/Button';
import { asOptions, ChooseOne } from '../../ui/Choose';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { OneOf } from '../../ui/OneOf';
import { Sheet } from '../../ui/Page';
import { Table, TableScroll } from '../../ui/Table';
import { Empty, FieldRow, Hidden, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { Trend } from '../../ui/Trend';
import { AwaitedSheet, Unread } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';

type Counts = Schemas['Counts'];
type Count = Schemas['Count'];

const AMOUNTS = ['receivable', 'overdue', 'payable', 'billed', 'received', 'bills', 'paid'] as const;

const TITLES: Record<typeof AMOUNTS[number], string> = {
    receivable: 'Receivable', overdue: 'Overdue', payable: 'Payable', billed: 'Billed', received: 'They paid', bills: 'They billed', paid: 'We paid',
};

/** The records of a list, counted by a field or two, with what they owe and are owed, and what was billed and paid. */
export function Counting() {
    const [search, setSearch] = useSearchParams();
    const navigate = useNavigate();
    const wanted: WantedCounts = {
        filter: search.get('filter') ?? '', by: search.get('by') ?? 'role', archived: search.get('archived') ?? '', period: search.get('period') ?? '',
    };
    const { data: counts, error, refetch } = useQuery(countsQuery(wanted));
    const { data: fields = [] } = useQuery(listFieldsQuery('parties'));
    const views = useTitles('listViews');
    const [hasMonths, setMonths] = useState(false);
    useTitle('Counted');
    const [first = 'role', second = ''] = wanted.by.split(',');
    const options = fields.filter(({ isColumn }) => isColumn).map(({ key, title }) => ({ id: key, name: title }));
    const set = (part: Record<string, string>) => setSearch(addressWith(part));
    const by = (keys: string[]) => set({ by: keys.filter((key) => key !== '').join(',') });
    const list = new URLSearchParams(Object.entries({ filter: wanted.filter, archived: wanted.archived }).filter(([, value]) => value !== ''));

    if (counts === undefined) {
        return <AwaitedSheet what="The counts" error={error} retry={() => void refetch()} />;
    }
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Row>
                    <Title>Counted by {counts.by.join(' and ').toLowerCase()}</Title>
                    <Quiet>{counts.total.count === 1 ? '1 record' : `${counts.total.count.toLocaleString('en')} records`}</Quiet>
                    <OneOf
                        label="How it is looked at"
                        options={views}
                        value="counted"
                        onChange={(view) => {
                            if (view !== 'table') {
                                list.set('view', view);
                            }
                            void navigate(`/directory?${list.toString()}`);
                        }}
                    />
                    <Link to={`/directory?${list.toString()}`}>{wanted.filter === '' ? 'Everybody' : wanted.filter}</Link>
                    <ListTools of="parties" isCounted search={search} onOpen={(address) => void navigate(address)} />
                </Row>
                {options.length > 0 && (
                    <FieldRow $foot className="internal">
                        {[first, second].map((value, at) => (
                            <ChooseFromMany
                                key={`${at} ${value}`}
                                label={['By', 'And by'][at] ?? ''}
                                width="name"
                                options={options}
                                value={value}
                                onChange={(key) => by(at === 0 ? [key, second] : [first, key])}
                            />
                        ))}
                        {second !== '' && <QuietButton onPress={() => by([first])}>By one only</QuietButton>}
                        <ChooseOne
                            label="Billed and paid in"
                            width="day"
                            options={asOptions([...new Set([counts.period, ...counts.periods])])}
                            value={counts.period}
                            onChange={(period) => set({ period })}
                        />
                        <ButtonLink href={`/api/parties/counts.csv?${new URLSearchParams({ ...wanted })}`}>Save as CSV</ButtonLink>
                        <QuietButton onPress={() => window.print()}>Print</QuietButton>
                    </FieldRow>
                )}
                {counts.rows.length === 0 ? <Empty><p>There is nobody to count.</p></Empty> : <CountTable counts={counts} />}
                <Small>
                    Billed and paid: {counts.periodText}, with tax, credit notes taken off. Amounts are in {counts.currency};
                    what is in another currency is not added up.
                    {counts.isManifold && ' Those that have several are counted for each, so the lines come to more than the whole.'}
                    {counts.isCut && ' Only the first 500 lines are shown.'}
                </Small>
                {counts.rows.length > 0 && (
                    hasMonths ? <Months wanted={wanted} /> : <QuietButton onPress={() => setMonths(true)}>Month by month</QuietButton>
                )}
            </Stack>
        </Sheet>
    );
}

function CountTable({ counts }: { counts: Counts }) {
    const most = Math.max(1, ...counts.rows.map(({ count }) => count));
    // What is nothing in every line only takes room.
    const amounts = AMOUNTS.filter((key) => counts.total[key].sign !== 0 || counts.rows.some((row) => row[key].sign !== 0));
    const figures = (row: Count) => (
        <>
            {amounts.map((key) => <td key={key} className="figure">{row[key].sign === 0 ? '' : row[key].text}</td>)}
            <td className="figure">{row.daysToPay}</td>
        </>
    );
    const [days] = counts.by;
    return (
        <>
            {counts.isOverTime && counts.rows.length > 2 && (
                <Trend
                    label={`How many by ${(days ?? '').toLowerCase()}, as in the table`}
                    steps={[...counts.rows].reverse().flatMap(({ labels: [label = ''] }) => label === '' ? [] : [label])}
                    series={[{
                        name: 'records',
                        values: [...counts.rows].reverse().flatMap(({ labels: [label = ''], count }) => label === '' ? [] : [count]),
                        texts: [...counts.rows].reverse().flatMap(({ labels: [label = ''], count }) => label === '' ? [] : [String(count)]),
                    }]}
                />
            )}
            <TableScroll>
                <Table>
                    <thead>
                        <tr>
                            {counts.by.map((title) => <th key={title}>{title}</th>)}
                            <th className="figure">Records</th><th><Hidden>As a bar</Hidden></th>
                            {amounts.map((key) => <th key={key} className="figure">{TITLES[key]}</th>)}
                            <th className="figure">Days to pay</th>
                        </tr>
                    </thead>
                    <tbody>
                        {counts.rows.map((row) => (
                            <tr key={row.labels.join('\n')}>
                                {row.labels.map((label, at) => (
                                    <td key={counts.by[at]} className="words">
                                        {at > 0 ? label || <Quiet>none</Quiet> : (
                                            <Link className="name" to={`/directory?${new URLSearchParams({ filter: row.filter }).toString()}`}>
                                                {label === '' ? 'none' : label}
                                            </Link>
                                        )}
                                    </td>
                                ))}
                                <td className="figure">{row.count.toLocaleString('en')}</td>
                                <td><Bar part={row.count} of={most} /></td>
                                {figures(row)}
                            </tr>
                        ))}
                    </tbody>
                    <tfoot>
                        <tr>
                            <th colSpan={counts.by.length}>The whole list</th>
                            <td className="figure">{counts.total.count.toLocaleString('en')}</td><td />
                            {figures(counts.total)}
                        </tr>
                    </tfoot>
                </Table>
            </TableScroll>
        </>
    );
}

/** What was billed and paid, month by month. */
function Months({ wanted }: { wanted: WantedCounts }) {
    const { data: months, error, refetch } = useQuery(monthsQuery(wanted));
    const [side, setSide] = useState<'client' | 'vendor'>('client');
    if (months === undefined) {
        return error === null ? <Quiet>Adding up …</Quiet> : <Unread what="The months" error={error} retry={() => void refetch()} />;
    }
    const [billed, paid] = side === 'client' ? ['billed', 'received'] as const : ['bills', 'paid'] as const;
    const drawn = ['billed', 'received', 'bills', 'paid'] as const;
    const series = (key: typeof drawn[number]) => ({
        name: TITLES[key],
        values: months.map(({ heights }) => heights[drawn.indexOf(key)] ?? 0),
        texts: months.map((month) => month[key].text),
    });
    return (
        <Stack $stretch>
            <OneOf
                label="Which side"
                options={[{ id: 'client', name: 'What we billed' }, { id: 'vendor', name: 'What they billed' }]}
                value={side}
                onChange={setSide}
            />
            {months.length > 1 && (
                <Trend
                    label={`${TITLES[billed]} and ${TITLES[paid].toLowerCase()} month by month, as in the table`}
                    steps={months.map(({ month }) => month)}
                    series={[series(billed), series(paid)]}
                />
            )}
            <TableScroll>
                <Table>
                    <thead><tr><th>Month</th><th className="figure">{TITLES[billed]}</th><th className="figure">{TITLES[paid]}</th></tr></thead>
                    <tbody>
                        {months.map((month) => (
                            <tr key={month.month}>
                                <td>{month.month}</td><td className="figure">{month[billed].text}</td><td className="figure">{month[paid].text}</td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
            </TableScroll>
        </Stack>
    );
}
