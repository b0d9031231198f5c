import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask } from '../../api/client';
import { forget, keepAnswer, letterRunQuery, letterRunsQuery } from '../../api/queries';
import { count } from '../../shared/count';
import { Button, MainLink, QuietButton } from '../../ui/Button';
import { Sheet } from '../../ui/Page';
import { Progress } from '../../ui/Progress';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { Mark, Notice, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';

/** One letter to many: how far it is, its file, and what came of it for each record. */
export function LetterRunPage() {
    const id = Number(useParams().id);
    const { data, error, refetch } = useQuery(letterRunQuery(id));
    const say = useSay();
    const navigate = useNavigate();
    useTitle(data?.run.title ?? 'Letters');
    const isUnderWay = data?.run.isUnderWay === true;
    const was = useRef(isUnderWay);
    useEffect(() => {
        // What has come to an end stands in the logs and in the outbox.
        if (was.current && !isUnderWay) {
            void forget(['records'], ['outbox']);
        }
        was.current = isUnderWay;
    }, [isUnderWay]);
    if (data === undefined) {
        return <AwaitedSheet what="The letter" error={error} retry={() => void refetch()} />;
    }
    const { run, letters } = data;
    const path = { path: { run: id } };
    const act = async (what: 'stop' | 'go-on', said: string) => {
        try {
            keepAnswer(letterRunQuery(id).queryKey, await ask(what === 'stop'
                ? api.POST('/api/letters/{run}/stop', { params: path })
                : api.POST('/api/letters/{run}/go-on', { params: path })));
            say(said);
        } catch (failure) {
            say((failure as Error).message);
            await refetch();
        }
    };
    const discard = async () => {
        try {
            const left = await ask(api.DELETE('/api/letters/{run}', { params: path }));
            keepAnswer(letterRunsQuery.queryKey, left);
            await navigate('/letters', { replace: true });
            say('Discarded. The logs and the outbox keep what they have.');
        } catch (failure) {
            say((failure as Error).message);
        }
    };
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Row>
                    <Title>{run.title}</Title>
                    <span role="status">{run.state === 'failed' ? <Mark tone="stop">{run.stateText}</Mark> : run.stateText}</span>
                    <Small>{run.wayText}; {run.by}, {run.day}</Small>
                </Row>
                {run.isUnderWay && <Progress label={run.title} done={run.done} of={run.total} />}
                {run.failure !== '' && <Notice tone="stop" title="It stopped there">{run.failure}</Notice>}
                <Row>
                    <strong>{count(run.letters, 'letter')}</strong>
                    {run.leftOut > 0 && <Mark tone="look">{`${run.leftOut.toLocaleString('en')} left out`}</Mark>}
                    {run.way === 'email' && run.state === 'done' && <Link to="/outbox">See the outbox</Link>}
                </Row>
                <Row $gap="small">
                    {run.hasFile && <MainLink href={`/api/letters/${id}/file`} download>{run.way === 'papers' ? 'Save the files' : 'Save as PDF'}</MainLink>}
                    {run.isUnderWay && <Button onPress={() => void act('stop', 'Stopped. What is written stays written.')}>Stop</Button>}
                    {run.mayGoOn && <Button onPress={() => void act('go-on', 'Going on.')}>Go on</Button>}
                    {!run.isUnderWay && <QuietButton onPress={() => void discard()}>Discard this file and its list</QuietButton>}
                    <Link to="/letters">All letters</Link>
                </Row>
                <TableScroll>
                    <Table>
                        <thead><tr><th>Record</th><th>What came of it</th><th>Where to, or why not</th></tr></thead>
                        <tbody>
                            {letters.map(({ id: record, name, outcome, outcomeText, note }) => (
                                <tr key={record}>
                                    <td className="words"><Link className="name" to={`/records/${record}`}>{name}</Link></td>
                                    <td>{outcome === 'left-out' ? <Mark tone="look">{outcomeText}</Mark> : outcomeText}</td>
                                    <td className="words"><Quiet>{note}</Quiet></td>
                                </tr>
                            ))}
                        </tbody>
                    </Table>
                </TableScroll>
            </Stack>
        </Sheet>
    );
}
