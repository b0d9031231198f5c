import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { letterRunsQuery, letterTemplatesQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { ButtonLink } from '../../ui/Button';
import { Sheet } from '../../ui/Page';
import { Table, TableScroll } from '../../ui/Table';
import { Empty, Heading, Mark, Row, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';

/** The templates of letters, and the letters to many so far. */
export function Letters() {
    useTitle('Letters');
    const { data: templates, error, refetch } = useQuery(letterTemplatesQuery);
    const { data: runs = [] } = useQuery(letterRunsQuery);
    const { mayChangeRecords } = useSession();
    if (templates === undefined) {
        return <AwaitedSheet what="The letters" error={error} retry={() => void refetch()} />;
    }
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Row>
                    <Title>Letters</Title>
                    <Link to="/directory">Choose in the directory whom to write to</Link>
                    <Link to="/outbox">Outbox</Link>
                </Row>
                <section aria-labelledby="templates">
                    <Stack $stretch>
                        <Row>
                            <Heading id="templates">Templates</Heading>
                            {mayChangeRecords && <ButtonLink href="/letters/templates/new">Add a template</ButtonLink>}
                        </Row>
                        {templates.length === 0 && (
                            <Empty>
                                <p>What the office writes again and again is kept here, with fields that are filled in for each reader.</p>
                            </Empty>
                        )}
                        {templates.length > 0 && (
                            <TableScroll>
                                <Table>
                                    <thead><tr><th>Name</th><th>Subject</th><th>Saved by</th></tr></thead>
                                    <tbody>
                                        {templates.map(({ id, name, subject, by }) => (
                                            <tr key={id}>
                                                <td className="words">
                                                    {mayChangeRecords ? <Link className="name" to={`/letters/templates/${id}`}>{name}</Link> : name}
                                                </td>
                                                <td className="words">{subject}</td>
                                                <td>{by}</td>
                                            </tr>
                                        ))}
                                    </tbody>
                                </Table>
                            </TableScroll>
                        )}
                    </Stack>
                </section>
                {runs.length > 0 && (
                    <section aria-labelledby="so-far">
                        <Stack $stretch>
                            <Heading id="so-far">Letters so far</Heading>
                            <TableScroll>
                                <Table>
                                    <thead><tr><th>About</th><th>How</th><th className="figure">Letters</th><th className="figure">Left out</th><th>How far</th><th>By</th><th>Day</th></tr></thead>
                                    <tbody>
                                        {runs.map((run) => (
                                            <tr key={run.id}>
                                                <td className="words"><Link className="name" to={`/letters/${run.id}`}>{run.title}</Link></td>
                                                <td className="words">{run.wayText}</td>
                                                <td className="figure">{run.letters.toLocaleString('en')}</td>
                                                <td className="figure">{run.leftOut.toLocaleString('en')}</td>
                                                <td>{run.state === 'failed' ? <Mark tone="stop">{run.stateText}</Mark> : run.stateText}</td>
                                                <td>{run.by}</td>
                                                <td>{run.day}</td>
                                            </tr>
                                        ))}
                                    </tbody>
                                </Table>
                            </TableScroll>
                        </Stack>
                    </section>
                )}
            </Stack>
        </Sheet>
    );
}
