import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../../api/client';
import { decidedQuery, forgetLookAlikes } from '../../api/queries';
import { useSession } from '../../api/session';
import { QuietButton } from '../../ui/Button';
import { Pager } from '../../ui/Pager';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { Hidden, Quiet, Stack } from '../../ui/Text';
import { Unread } from '../../ui/Unread';

/** What was decided, by whom and why; each can be opened again. */
export function Decided() {
    const [page, setPage] = useState(1);
    const { data, error, refetch } = useQuery({ ...decidedQuery(page), placeholderData: keepPreviousData });
    const { mayChangeRecords } = useSession();
    const say = useSay();
    const openAgain = async (id: number) => {
        try {
            await ask(api.POST('/api/look-alikes/open-again', { body: { pairIds: [id] } }));
            say('They are to be settled again.');
        } catch (failure) {
            say((failure as Error).message);
        }
        await forgetLookAlikes();
    };
    return (
        <Stack $stretch aria-busy={data === undefined}>
            {error !== null && <Unread what="What was decided" error={error} retry={() => void refetch()} />}
            {data?.total === 0 && <Quiet>Nothing has been decided yet.</Quiet>}
            {data !== undefined && data.total > 0 && (
                <TableScroll>
                    <Table>
                        <thead><tr><th>Day</th><th>Records</th><th>Decided</th><th>Why</th><th><Hidden>Open again</Hidden></th></tr></thead>
                        <tbody>
                            {data.rows.map(({ id, first, second, by, day, why }) => (
                                <tr key={id}>
                                    <td className="tight">{day}</td>
                                    <td className="words">
                                        <Link className="name" to={`/records/${first.id}`}>{first.name}</Link>{' and '}
                                        <Link className="name" to={`/records/${second.id}`}>{second.name}</Link>
                                    </td>
                                    <td>different, by {by}</td>
                                    <td className="words">{why}</td>
                                    <td>
                                        {mayChangeRecords && (
                                            <QuietButton aria-label={`Open again: ${first.name} and ${second.name}`} onPress={() => void openAgain(id)}>
                                                Open again
                                            </QuietButton>
                                        )}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </Table>
                </TableScroll>
            )}
            {data !== undefined && <Pager page={page} pages={data.pages} onGo={setPage} />}
        </Stack>
    );
}
