import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { countsQuery, listFieldsQuery } from '../../api/queries';
import { Bar } from '../../ui/Bar';
import { ButtonLink, QuietButton } from '../../ui/Button';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Sheet } from '../../ui/Page';
import { Table, TableScroll } from '../../ui/Table';
import { Empty, FieldRow, Hidden, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';

/** The records of a list, counted by a field or two, with what they owe and are owed. */
export function Counting() {
    const [search, setSearch] = useSearchParams();
    const [filter, by] = [search.get('filter') ?? '', search.get('by') ?? 'role'];
    const archived = search.get('archived') ?? '';
    const { data: counts, error, refetch } = useQuery(countsQuery(filter, by, archived));
    const { data: fields = [] } = useQuery(listFieldsQuery);
    useTitle('Counted');
    const [first = 'role', second = ''] = by.split(',');
    const options = fields.filter(({ isColumn, type }) => isColumn && type !== 'several days').map(({ key, title }) => ({ id: key, name: title }));
    const set = (keys: string[]) => {
        const next = new URLSearchParams(search);
        next.set('by', keys.filter((key) => key !== '').join(','));
        setSearch(next);
    };
    const list = new URLSearchParams({ ...(filter === '' ? {} : { filter }), ...(archived === '' ? {} : { archived }) });

    if (counts === undefined) {
        return <AwaitedSheet what="The counts" error={error} retry={() => void refetch()} />;
    }
    const most = Math.max(1, ...counts.rows.map(({ count }) => count));
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Row>
                    <Title>Counted by {counts.by.join(' and ').toLowerCase()}</Title>
                    <Quiet>{counts.total.count === 1 ? '1 record' : `${counts.total.count.toLocaleString('en')} records`}</Quiet>
                    <Link to={`/directory?${list.toString()}`}>{filter === '' ? 'Everybody' : filter}</Link>
                </Row>
                {options.length > 0 && (
                    <FieldRow $foot className="internal">
                        <ChooseFromMany key={`1 ${first}`} label="By" width="line" options={options} value={first} onChange={(key) => set([key, second])} />
                        <ChooseFromMany key={`2 ${second}`} label="And by" width="line" options={options} value={second} onChange={(key) => set([first, key])} />
                        {second !== '' && <QuietButton onPress={() => set([first])}>By one only</QuietButton>}
                        <ButtonLink href={`/api/parties/counts.csv?${new URLSearchParams({ filter, by, archived }).toString()}`}>Save as CSV</ButtonLink>
                        <QuietButton onPress={() => window.print()}>Print</QuietButton>
                    </FieldRow>
                )}
                {counts.rows.length === 0 ? <Empty><p>There is nobody to count.</p></Empty> : (
                    <TableScroll>
                        <Table>
                            <thead>
                                <tr>
                                    {counts.by.map((title) => <th key={title}>{title}</th>)}
                                    <th className="figure">Records</th><th><Hidden>As a bar</Hidden></th>
                                    <th className="figure">Receivable</th><th className="figure">Overdue</th><th className="figure">Payable</th>
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
                                        <td className="figure">{row.receivable.sign === 0 ? '' : row.receivable.text}</td>
                                        <td className="figure">{row.overdue.sign === 0 ? '' : row.overdue.text}</td>
                                        <td className="figure">{row.payable.sign === 0 ? '' : row.payable.text}</td>
                                        <td className="figure">{row.daysToPay}</td>
                                    </tr>
                                ))}
                            </tbody>
                            <tfoot>
                                <tr>
                                    <th colSpan={counts.by.length}>The whole list</th>
                                    <td className="figure">{counts.total.count.toLocaleString('en')}</td><td />
                                    <td className="figure">{counts.total.receivable.text}</td>
                                    <td className="figure">{counts.total.overdue.text}</td>
                                    <td className="figure">{counts.total.payable.text}</td>
                                    <td className="figure">{counts.total.daysToPay}</td>
                                </tr>
                            </tfoot>
                        </Table>
                    </TableScroll>
                )}
                <Small>
                    Amounts are in {counts.currency}.
                    {counts.isManifold && ' Those that have several are counted for each, so the lines come to more than the whole.'}
                    {counts.isCut && ' Only the first 500 lines are shown.'}
                </Small>
            </Stack>
        </Sheet>
    );
}
