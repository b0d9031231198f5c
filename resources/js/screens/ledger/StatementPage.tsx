import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { Refused } from '../../api/client';
import { recordQuery, statementQuery } from '../../api/queries';
import { DocumentTable } from '../../shared/DocumentTable';
import { useTitle } from '../../ui/useTitle';
import { Button, ButtonLink } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Sheet } from '../../ui/Page';
import { Table, TableScroll } from '../../ui/Table';
import { FieldRow, Heading, Mark, Quiet, Row, Stack, Title } from '../../ui/Text';
import { LongStatement } from './LongStatement';

/** The statement of account of a record, on screen, on paper or as a table. */
export function StatementPage() {
    const partyId = Number(useParams().id);
    const [search] = useSearchParams();
    const [from, setFrom] = useState('');
    const [to, setTo] = useState('');
    const side = search.get('side') ?? 'client';
    const currency = search.get('currency') ?? 'USD';
    const query = { side, currency, from: useDeferredValue(from), to: useDeferredValue(to) };
    const { data: record } = useQuery(recordQuery(partyId));
    const { data, error } = useQuery({ ...statementQuery(partyId, query), placeholderData: keepPreviousData });
    useTitle('Statement of account');
    const problems = error instanceof Refused ? error.fields : {};
    const address = (format: string) => `/api/parties/${partyId}/statement?${new URLSearchParams({ ...query, format }).toString()}`;

    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={data === undefined && error === null}>
            <Stack $gap="large" $stretch>
                <Row>
                    <Title>Statement of account</Title>
                    {record !== undefined && <Link to={`/records/${partyId}`}>{record.party.displayName}</Link>}
                </Row>
                <FieldRow className="internal" $foot>
                    <Field label="From" width="code" placeholder="the beginning" value={from} onChange={setFrom} problem={problems.from} />
                    <Field label="To" width="code" placeholder="today" value={to} onChange={setTo} problem={problems.to} />
                    {data?.isLong !== true && <ButtonLink href={address('pdf')} target="_blank" rel="external">PDF</ButtonLink>}
                    <ButtonLink href={address('csv')} target="_blank" rel="external">CSV</ButtonLink>
                    <Button onPress={() => window.print()}>Print</Button>
                </FieldRow>
                {data?.isLong === true && <LongStatement key={JSON.stringify(query)} partyId={partyId} query={query} />}
                {error !== null && Object.keys(problems).length === 0 && <Mark tone="stop">{error.message}</Mark>}
                {data !== undefined && (
                    <>
                        <Quiet>{data.period}, in {data.currency}</Quiet>
                        <TableScroll>
                            <Table>
                                <thead>
                                    <tr>
                                        <th>Day</th>
                                        <th>What</th>
                                        <th className="figure">Change</th>
                                        <th className="figure">Balance</th>
                                    </tr>
                                </thead>
                                <tbody>
                                    <tr>
                                        <td />
                                        <td>Balance before</td>
                                        <td />
                                        <td className="figure">{data.opening.text}</td>
                                    </tr>
                                    {data.lines.map((line, at) => (
                                        <tr key={at}>
                                            <td className="tight">{line.dayText}</td>
                                            <td className="words">{line.what}</td>
                                            <td className="figure">{line.amount.text}</td>
                                            <td className="figure">{line.balance.text}</td>
                                        </tr>
                                    ))}
                                </tbody>
                                <tfoot>
                                    <tr>
                                        <th colSpan={3} scope="row">
                                            Balance on {data.toText}
                                        </th>
                                        <td className="figure">
                                            {data.currency} {data.closing.text}
                                        </td>
                                    </tr>
                                </tfoot>
                            </Table>
                        </TableScroll>
                        {data.open.length > 0 && (
                            <Stack as="section" $gap="small" $stretch>
                                <Heading>Open today</Heading>
                                <DocumentTable rows={data.open} />
                                <TableScroll>
                                    <Table>
                                        <thead>
                                            <tr>
                                                {data.ageing.map(({ bucket, title }) => (
                                                    <th key={bucket} className="figure">
                                                        {title}
                                                    </th>
                                                ))}
                                            </tr>
                                        </thead>
                                        <tbody>
                                            <tr>
                                                {data.ageing.map(({ bucket, amount }) => (
                                                    <td key={bucket} className="figure">
                                                        {amount.text}
                                                    </td>
                                                ))}
                                            </tr>
                                        </tbody>
                                    </Table>
                                </TableScroll>
                            </Stack>
                        )}
                    </>
                )}
            </Stack>
        </Sheet>
    );
}
