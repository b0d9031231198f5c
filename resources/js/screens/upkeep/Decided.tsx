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

/** What was decided, by whom and why: who is different, who was made one, who shares a line. Each can be opened again. */
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
                            {data.rows.map((row) => (
                                <tr key={row.key}>
                                    <td className="tight">{row.day}</td>
                                    <td className="words"><Records row={row} /></td>
                                    <td className="words">
                                        {row.merge === null ? `different, by ${row.by}` : `made one, by ${row.by}`}
                                        {row.merge !== null && row.merge.apartBy !== '' && `; taken apart by ${row.merge.apartBy} on ${row.merge.apartDay}`}
                                    </td>
                                    <td className="words">{row.why}</td>
                                    <td className="tight">{mayChangeRecords && <OpenAgain row={row} openAgain={openAgain} />}</td>
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

type Decision = Schemas['Decided'];

/** Who is different, each by a link; of those that were made one, the one that they became. */
function Records({ row: { records, merge } }: { row: Decision }) {
    const named = merge === null ? records : merge.sides.map(({ id, number, name }) => ({ id, name: `no. ${number} ${name}` }));
    return named.map(({ id, name }, at) => (
        <span key={id}>{at > 0 && ' and '}<Link className="name" to={`/records/${id}`}>{name}</Link></span>
    ));
}

/** How what was decided is opened again. */
function OpenAgain({ row: { pairId, merge, records }, openAgain }: { row: Decision; openAgain: (ids: number[]) => Promise<void> }) {
    if (pairId !== null) {
        return (
            <QuietButton aria-label={`Open again: ${records.map(({ name }) => name).join(' and ')}`} onPress={() => void openAgain([pairId])}>
                Open again
            </QuietButton>
        );
    }
    return merge?.state === 'done'
        ? <Link aria-label={`Take apart: ${merge.sides.map(({ name }) => name).join(' and ')}`} to={`/upkeep/merges/${merge.id}/apart`}>Take apart …</Link>
        : null;
}

/** Phones, emails and addresses that different people share: renamed, or asked about again. */
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
