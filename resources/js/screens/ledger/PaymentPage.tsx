import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask } from '../../api/client';
import { forgetLedger, keepAnswer, paymentQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { AskWhy } from '../../shared/AskWhy';
import { titleOf, useTitles } from '../../shared/titles';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Table } from '../../ui/Table';
import { Facts, Heading, Mark, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { Allocate } from './Allocate';
import { EngagementLine } from './ForEngagement';

/** One payment, and what it was used on. */
export function PaymentPage() {
    const id = Number(useParams().id);
    const { data, error, refetch } = useQuery(paymentQuery(id));
    const { mayChangeRecords } = useSession();
    const [asks, setAsks] = useState<'void' | 'use'>();
    const say = useSay();
    const ways = useTitles('waysToPay');
    useTitle('Payment');
    if (error !== null || data === undefined) {
        return <AwaitedSheet what="The payment" error={error} retry={() => void refetch()} />;
    }
    const { row } = data;
    const left = row.unallocated.sign;
    const path = { params: { path: { payment: row.id } } };
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Row>
                    <Title>{row.side === 'client' ? 'Payment from' : 'Payment to'} {row.party.name}</Title>
                    {row.isVoid && <Mark tone="look">void: {row.voidReason}</Mark>}
                </Row>
                <EngagementLine
                    partyId={row.party.id}
                    engagement={data.engagement}
                    put={async (engagementId) => {
                        const answer = await ask(api.PUT('/api/payments/{payment}/engagement', { ...path, body: { engagementId } }));
                        keepAnswer(paymentQuery(id).queryKey, answer);
                        return answer.engagement;
                    }}
                />
                <Facts>
                    <div>
                        <dt>Amount</dt>
                        <dd>
                            <strong>
                                {row.amount.currency} {row.amount.text}
                            </strong>
                        </dd>
                    </div>
                    <div>
                        <dt>Day</dt>
                        <dd>{row.dayText}</dd>
                    </div>
                    <div>
                        <dt>How</dt>
                        <dd>{titleOf(ways, row.payBy)}</dd>
                    </div>
                    {row.reference !== '' && (
                        <div>
                            <dt>Reference</dt>
                            <dd>{row.reference}</dd>
                        </div>
                    )}
                    {row.toAccount !== '' && (
                        <div>
                            <dt>To account</dt>
                            <dd>{row.toAccount}</dd>
                        </div>
                    )}
                    {row.accountNumber !== '' && (
                        <div>
                            <dt>Our account with them</dt>
                            <dd>{row.accountNumber}</dd>
                        </div>
                    )}
                    <div>
                        <dt>Not used yet</dt>
                        <dd>{left === 0 ? <Quiet>nothing</Quiet> : `${row.amount.currency} ${row.unallocated.text}`}</dd>
                    </div>
                    <div>
                        <dt>Entered by</dt>
                        <dd>{data.by}</dd>
                    </div>
                    <div>
                        <dt>Record</dt>
                        <dd>
                            <Link to={`/records/${row.party.id}#documents`}>{row.party.name}</Link>
                        </dd>
                    </div>
                </Facts>
                {mayChangeRecords && !row.isVoid && (
                    <Row $gap="small">
                        {left > 0 && <Button onPress={() => setAsks('use')}>Use what is left</Button>}
                        <Button onPress={() => setAsks('void')}>Void it</Button>
                    </Row>
                )}
                {data.allocations.length > 0 && (
                    <Stack as="section" $gap="small" $stretch>
                        <Heading>Used on</Heading>
                        <Table>
                            <tbody>
                                {data.allocations.map((one) => (
                                    <tr key={one.id}>
                                        <td>
                                            <Link className="name" to={`/documents/${one.document.id}`}>
                                                {one.document.title}
                                            </Link>
                                        </td>
                                        <td>
                                            <Small>{one.kind}</Small>
                                        </td>
                                        <td className="figure">{one.amount.text}</td>
                                    </tr>
                                ))}
                            </tbody>
                        </Table>
                    </Stack>
                )}
            </Stack>
            {asks === 'void' && (
                <AskWhy
                    title="Void it"
                    hint="What it settled is open again."
                    action="Void it"
                    onClose={() => setAsks(undefined)}
                    run={async (reason) => {
                        await ask(api.DELETE('/api/payments/{payment}', { ...path, body: { reason, amount: '' } }));
                        forgetLedger();
                        say('Done.');
                    }}
                />
            )}
            {asks === 'use' && (
                <Dialog title="Use what is left" isWide onClose={() => setAsks(undefined)}>
                    <Allocate
                        partyId={row.party.id}
                        side={row.side}
                        currency={row.amount.currency}
                        available={row.unallocated.amount}
                        action="Use it"
                        onClose={() => setAsks(undefined)}
                        run={(allocations) => ask(api.POST('/api/payments/{payment}/allocations', { ...path, body: { allocations } }))}
                    />
                </Dialog>
            )}
        </Sheet>
    );
}
