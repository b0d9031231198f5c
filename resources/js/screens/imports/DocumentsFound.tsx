import type { Schemas } from '../../api/client';
import { count } from '../../shared/count';
import { Table, TableScroll } from '../../ui/Table';
import { Mark, Small, Stack } from '../../ui/Text';

const MOST_SHOWN = 200;

/** Of a file of documents: how many there are, and what is wrong in it. */
export function DocumentsFound({ one }: { one: Schemas['Import'] }) {
    const lines = one.problemCount > one.problems.length ? one.problemCount : new Set(one.problems.map(({ line }) => line)).size;
    if (one.state === 'taken') {
        return <Mark tone="fine">{`${one.done.toLocaleString('en')} imported`}</Mark>;
    }
    if (one.state !== 'checked') {
        return null;
    }
    return (
        <Stack $gap="small" $stretch>
            <span>
                {count(one.found, 'document')} can be imported{lines > 0 ? ', without the bad lines. ' : '. '}
                {lines > 0 && (
                    <Mark tone="stop">
                        {lines === 1 ? '1 line cannot be read' : `${lines.toLocaleString('en')} lines cannot be read`}
                    </Mark>
                )}
            </span>
            {one.problems.length > 0 && (
                <TableScroll $short tabIndex={0} role="region" aria-label={`What is wrong in ${one.name}`}>
                    <Table>
                        <thead>
                            <tr>
                                <th>Line</th>
                                <th>Column</th>
                                <th>What is wrong</th>
                            </tr>
                        </thead>
                        <tbody>
                            {one.problems.slice(0, MOST_SHOWN).map(({ line, field, message }, at) => (
                                <tr key={at}>
                                    <td>{line}</td>
                                    <td>{field}</td>
                                    <td>{message}</td>
                                </tr>
                            ))}
                        </tbody>
                    </Table>
                    {one.problemCount > MOST_SHOWN && <Small>and {(one.problemCount - MOST_SHOWN).toLocaleString('en')} more</Small>}
                </TableScroll>
            )}
        </Stack>
    );
}
