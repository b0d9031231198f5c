import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { decidedQuery, forget, sharedLinesQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { QuietButton } from '../../ui/Button';
import { Pager } from '../../ui/Pager';
import { Table, TableScroll } from '../../ui/Table';
import { Heading, Hidden, Quiet, Row, Small, Stack } from '../../ui/Text';
import { Unread } from '../../ui/Unread';
import { Holders, LineDialog } from './LineDialog';
import { useSettling } from './useSettling';

/** What was decided, by whom and why: who is different, who shares a line. Each can be opened again. */
export function Decided() {
    const [page, setPage] = useState(1);
    const { data, error, refetch } = useQuery({ ...decidedQuery(page), placeholderData: keepPreviousData });
    const { mayChangeRecords } = useSession();
    const { openAgain } = useSettling();
    return (
        <Stack $stretch aria-busy={data === undefined}>
            <SharedLines />
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
                                            <QuietButton aria-label={`Open again: ${first.name} and ${second.name}`} onPress={() => void openAgain([id])}>
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

/** Phones and emails that different people share: renamed, or asked about again. */
function SharedLines() {
    const { data: lines = [] } = useQuery(sharedLinesQuery);
    const { mayChangeRecords } = useSession();
    const [naming, setNaming] = useState<Schemas['SharedLine']>();
    const { act } = useSettling();
    const askAgain = async ({ id, text }: Schemas['SharedLine']) => {
        await act(() => ask(api.DELETE('/api/shared-lines/{line}', { params: { path: { line: id ?? 0 } } })), `${text} is asked about again.`);
        await forget(['records']);
    };
    return lines.length === 0 ? null : (
        <section aria-labelledby="shared-lines">
            <Stack $gap="small" $stretch>
                <Heading id="shared-lines">Shared lines</Heading>
                {lines.map((line) => (
                    <Row key={line.value} $gap="small">
                        <span>{line.text}, <Holders line={line} name={line.name} /></span>
                        <Small>named by {line.by} on {line.day}</Small>
                        {mayChangeRecords && (
                            <>
                                <QuietButton aria-label={`Call ${line.name} otherwise`} onPress={() => setNaming(line)}>Call it otherwise</QuietButton>
                                <QuietButton aria-label={`Ask about ${line.name} again`} onPress={() => void askAgain(line)}>Ask again</QuietButton>
                            </>
                        )}
                    </Row>
                ))}
                {naming !== undefined && <LineDialog line={naming} onClose={() => setNaming(undefined)} />}
            </Stack>
        </section>
    );
}
