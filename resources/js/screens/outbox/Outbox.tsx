import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../../api/client';
import { forget, outboxQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { count } from '../../shared/count';
import { QuietButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Sheet } from '../../ui/Page';
import { Pager } from '../../ui/Pager';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { Empty, Hidden, Mark, Quiet, Row, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';

/** What was sent by email: to whom, with what, and once more. */
export function Outbox() {
    useTitle('Outbox');
    const [typed, setTyped] = useState('');
    const [page, setPage] = useState(1);
    const { data, error, refetch } = useQuery(outboxQuery(typed.trim(), page));
    const { mayChangeRecords } = useSession();
    const say = useSay();
    const again = async (id: number, to: string) => {
        try {
            await ask(api.POST('/api/messages/{message}/again', { params: { path: { message: id } } }));
            say(`Sent again to ${to}.`);
            setPage(1);
        } catch (failure) {
            say(`Not sent. ${(failure as Error).message}`);
        }
        await forget(['outbox'], ['records']);
    };
    if (data === undefined) {
        return <AwaitedSheet what="The outbox" error={error} retry={() => void refetch()} />;
    }
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $stretch>
                <Row>
                    <Title>Outbox</Title>
                    <Quiet aria-live="polite">{count(data.total, 'message')}</Quiet>
                    <Link to="/letters">Letters</Link>
                </Row>
                {(data.total > 0 || typed !== '') && (
                    <Field
                        label="To whom, or about what" width="wide" value={typed} maxLength={200}
                        onChange={(text) => { setTyped(text); setPage(1); }}
                    />
                )}
                {data.messages.length === 0 && (
                    <Empty>
                        <p>{typed === '' ? 'Nothing was sent yet. Documents, letters and invitations that you send stand here.' : 'Nothing like that was sent.'}</p>
                    </Empty>
                )}
                {data.messages.length > 0 && (
                    <TableScroll>
                        <Table>
                            <thead>
                                <tr>
                                    <th>When</th><th>To</th><th>About</th><th>Record</th><th>By</th><th>How far</th>
                                    <th><Hidden>What can be done</Hidden></th>
                                </tr>
                            </thead>
                            <tbody>
                                {data.messages.map(({ id, at, to, subject, party, by, state, stateText }) => (
                                    <tr key={id}>
                                        <td>{at}</td>
                                        <td className="words">{to}</td>
                                        <td className="words"><a href={`/api/messages/${id}`} target="_blank" rel="noreferrer">{subject}</a></td>
                                        <td className="words"><Link className="name" to={`/records/${party.id}`}>{party.name}</Link></td>
                                        <td>{by}</td>
                                        <td className="words">{state === 'failed' ? <Mark tone="stop">{stateText}</Mark> : stateText}</td>
                                        <td>
                                            {mayChangeRecords && (
                                                <QuietButton aria-label={`Send again: ${subject}, to ${to}`} onPress={() => again(id, to)}>Send again</QuietButton>
                                            )}
                                        </td>
                                    </tr>
                                ))}
                            </tbody>
                        </Table>
                    </TableScroll>
                )}
                <Pager page={data.page} pages={data.pages} onGo={setPage} />
            </Stack>
        </Sheet>
    );
}
