import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useSearchParams, Link } from 'react-router';
import { taxReportQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { Unread } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { Button, ButtonLink } from '../../ui/Button';
import { Sheet } from '../../ui/Page';
import { Table, TableScroll } from '../../ui/Table';
import { Mark, Quiet, Row, Stack, Title } from '../../ui/Text';

/** The vendors that are reported for a year, with what they lack. */
export function TaxReport() {
    const [search, setSearch] = useSearchParams();
    const { today } = useSession();
    const year = Number(search.get('year') ?? (today ?? '').slice(0, 4));
    const { data, error, refetch } = useQuery({ ...taxReportQuery(year), placeholderData: keepPreviousData });
    useTitle(`Tax report ${year}`);
    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={data === undefined && error === null}>
            <Stack $stretch>
                <Row>
                    <Title>Tax report {year}</Title>
                    <Button onPress={() => setSearch({ year: String(year - 1) })}>{year - 1}</Button>
                    <Button onPress={() => setSearch({ year: String(year + 1) })}>{year + 1}</Button>
                    <ButtonLink href={`/api/tax-report?year=${year}&format=csv`} target="_blank" rel="external">CSV</ButtonLink>
                </Row>
                {error !== null && <Unread what="The tax report" error={error} retry={() => void refetch()} />}
                {data !== undefined && (
                    <>
                        <Quiet>
                            What was paid in the year by the day the money went, without cards; reported from {data.threshold.currency}{' '}
                            {data.threshold.text} on.
                            {data.lacking > 0 && (
                                <>
                                    {' '}
                                    <Mark tone="stop">
                                        {data.lacking === 1
                                            ? '1 vendor above that lacks something'
                                            : `${data.lacking} vendors above that lack something`}
                                    </Mark>
                                </>
                            )}
                        </Quiet>
                        {data.rows.length === 0 ? <Quiet>Nobody who is reported was paid in {year}.</Quiet> : (
                            <TableScroll>
                                <Table>
                                    <thead>
                                        <tr>
                                            <th>Vendor</th>
                                            <th>Number</th>
                                            <th>Form W-9</th>
                                            <th>Missing</th>
                                            <th className="figure">Paid</th>
                                            <th>Reported</th>
                                        </tr>
                                    </thead>
                                    <tbody>
                                        {data.rows.map(({ party, number, formText, year: one }) => (
                                            <tr key={party.id}>
                                                <td><Link className="name" to={`/records/${party.id}#tax-numbers`}>{party.name}</Link></td>
                                                <td className="tight">{number === '' ? <Quiet>none</Quiet> : number}</td>
                                                <td className="tight">{formText === '' ? <Quiet>none</Quiet> : formText}</td>
                                                <td>
                                                    {one.missing.length === 0 ? (
                                                        <Mark tone="fine">nothing</Mark>
                                                    ) : (
                                                        <Mark tone={one.isAbove ? 'stop' : 'look'}>{one.missing.join('; ')}</Mark>
                                                    )}
                                                </td>
                                                <td className="figure">
                                                    {one.paid.currency} {one.paid.text}
                                                </td>
                                                <td>{one.isAbove ? 'yes' : <Quiet>below</Quiet>}</td>
                                            </tr>
                                        ))}
                                    </tbody>
                                </Table>
                            </TableScroll>
                        )}
                    </>
                )}
            </Stack>
        </Sheet>
    );
}
