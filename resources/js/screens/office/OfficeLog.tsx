import { useInfiniteQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { actsQuery } from '../../api/queries';
import { Unread } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { Button } from '../../ui/Button';
import { momentText } from '../../ui/moment';
import { Sheet } from '../../ui/Page';
import { Table, TableScroll } from '../../ui/Table';
import { Quiet, Small, Stack, Title } from '../../ui/Text';

const PAGES: Record<string, string> = {
    record: '/records/', document: '/documents/', payment: '/payments/', 'case or project': '/engagements/',
};

/** Who did what in the office, the newest first; for administrators. */
export function OfficeLog() {
    useTitle('Log of the office');
    const { data, error, refetch, hasNextPage, fetchNextPage, isFetchingNextPage } = useInfiniteQuery(actsQuery);
    const acts = data?.pages.flatMap((page) => page.acts);
    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={acts === undefined && error === null}>
            <Stack $stretch>
                <Stack $gap="tight">
                    <Title>Log of the office</Title>
                    <Quiet>Who did what, the newest first. What a record keeps in its own log is named here only.</Quiet>
                </Stack>
                {error !== null && <Unread what="The log" error={error} retry={() => void refetch()} />}
                {acts?.length === 0 && <Quiet>Nothing has been done yet.</Quiet>}
                {acts !== undefined && acts.length > 0 && (
                    <TableScroll>
                        <Table>
                            <thead><tr><th>When</th><th>Who</th><th>What</th><th>From, to</th></tr></thead>
                            <tbody>
                                {acts.map((act) => {
                                    const page = PAGES[act.subject];
                                    const name = act.name === '' ? act.subject : act.name;
                                    return (
                                        <tr key={act.id}>
                                            <td className="tight"><Small>{momentText(act.at)}</Small></td>
                                            <td>{act.by}</td>
                                            <td className="words">
                                                {act.subject}{' '}
                                                {page !== undefined && act.subjectId !== null && act.what !== 'deleted' ? (
                                                    <Link to={`${page}${act.subjectId}`}>{name}</Link>
                                                ) : (
                                                    <strong>{name}</strong>
                                                )}
                                                , {act.what}
                                            </td>
                                            <td className="words">
                                                {act.differences.map(({ label, from, to }) => (
                                                    <div key={label}>
                                                        <Small>
                                                            {label}: {from === '' ? '' : `${from} → `}
                                                            {to === '' ? 'nothing' : to}
                                                        </Small>
                                                    </div>
                                                ))}
                                            </td>
                                        </tr>
                                    );
                                })}
                            </tbody>
                        </Table>
                    </TableScroll>
                )}
                {hasNextPage && (
                    <div>
                        <Button isDisabled={isFetchingNextPage} onPress={() => void fetchNextPage()}>
                            Show earlier ones
                        </Button>
                    </div>
                )}
            </Stack>
        </Sheet>
    );
}
