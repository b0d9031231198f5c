import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { bulkChangesQuery, bulkRecordsQuery, forget, importsQuery, jobsQuery, lastScanQuery, letterRunsQuery } from '../../api/queries';
import { Button, QuietButton } from '../../ui/Button';
import { Sheet } from '../../ui/Page';
import { Progress } from '../../ui/Progress';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { Empty, Heading, Mark, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';

type BulkChange = Schemas['BulkChange'];

/** Long work behind the screen: how far it is, for whom, and what came of it. */
export function UnderWay() {
    const { data: changes, error, refetch } = useQuery(bulkChangesQuery);
    const { data: imports = [] } = useQuery(importsQuery);
    const { data: jobs = [] } = useQuery(jobsQuery);
    const { data: letters = [] } = useQuery(letterRunsQuery);
    const { data: scans = [] } = useQuery(lastScanQuery);
    const isScanning = scans.some(({ isUnderWay: is }) => is);
    useTitle('Under way');
    const busy = changes?.filter((one) => one.isUnderWay).length ?? 0;
    const before = useRef(busy);
    useEffect(() => {
        // What has come to an end has changed records that others show.
        if (busy < before.current) {
            void forget(['records']);
        }
        before.current = busy;
    }, [busy]);
    if (changes === undefined) {
        return <AwaitedSheet what="What is under way" error={error} retry={() => void refetch()} />;
    }
    const reading = imports.filter(({ isUnderWay }) => isUnderWay);
    const writing = letters.filter(({ isUnderWay }) => isUnderWay);
    const making = jobs.filter(({ state }) => state === 'running');
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Title>Under way</Title>
                {changes.length === 0 && reading.length === 0 && making.length === 0 && writing.length === 0 && !isScanning && (
                    <Empty>
                        <p>
                            What takes longer than a moment is done here, behind the screen: changes to many records, files that are read
                            in, letters, long statements, going through the book for look-alikes. Nothing is under way now.
                        </p>
                    </Empty>
                )}
                {isScanning && (
                    <Row><span>The book is gone through for look-alikes</span><Link to="/upkeep/look-alikes">See it</Link></Row>
                )}
                {reading.map((one) => (
                    <Row key={`import-${one.id}`}><span>{one.name}, {one.stateText}</span><Link to={`/imports/${one.id}`}>See it</Link></Row>
                ))}
                {writing.map((one) => (
                    <Row key={`letters-${one.id}`}><span>Letters: {one.title}</span><Link to={`/letters/${one.id}`}>See it</Link></Row>
                ))}
                {making.map((one) => (
                    <Row key={`job-${one.id}`}><span>A statement on paper</span><Link to={`/records/${one.partyId}`}>See it</Link></Row>
                ))}
                {changes.length > 0 && (
                    <section aria-labelledby="bulk-changes">
                        <Stack $stretch>
                            <Heading id="bulk-changes">Bulk changes</Heading>
                            {changes.map((change) => <OneChange key={change.id} change={change} />)}
                        </Stack>
                    </section>
                )}
            </Stack>
        </Sheet>
    );
}

function OneChange({ change }: { change: BulkChange }) {
    const [isOpen, setOpen] = useState(false);
    const say = useSay();
    const path = { bulkChange: change.id };
    const act = async (what: 'stop' | 'go-on' | 'take-back', said: string) => {
        try {
            await ask(what === 'stop'
                ? api.POST('/api/bulk-changes/{bulkChange}/stop', { params: { path } })
                : what === 'go-on'
                    ? api.POST('/api/bulk-changes/{bulkChange}/go-on', { params: { path } })
                    : api.POST('/api/bulk-changes/{bulkChange}/take-back', { params: { path } }));
            say(said);
        } catch (error) {
            say((error as Error).message);
        }
        await forget(['records']);
    };
    const told = [
        [change.changed, 'changed'], [change.same, 'so already'], [change.refused, 'not possible'], [change.takenBack, 'taken back'],
        [change.kept, 'keep what was changed since'],
    ].flatMap(([count, words]) => count === 0 ? [] : [`${Number(count).toLocaleString('en')} ${words}`]).join(', ');

    return (
        <article id={`change-${change.id}`} aria-label={change.title}>
            <Stack $gap="tight" $stretch>
                <Row>
                    <strong>{change.title}</strong>
                    <Quiet>{change.total === 1 ? '1 record' : `${change.total.toLocaleString('en')} records`}</Quiet>
                    <span role="status">{change.state === 'failed' ? <Mark tone="stop">{change.stateText}</Mark> : change.stateText}</span>
                    <Small>{change.by}, {change.day}</Small>
                </Row>
                {change.isUnderWay && <Progress label={change.title} done={change.done} of={change.total} />}
                {told !== '' && <Small>{told}</Small>}
                {change.failure !== '' && <Mark tone="stop">{change.failure}</Mark>}
                <Row $gap="small">
                    {change.mayStop && <Button onPress={() => void act('stop', 'Stopped. What is done stays done.')}>Stop</Button>}
                    {change.mayGoOn && <Button onPress={() => void act('go-on', 'Going on.')}>Go on</Button>}
                    {change.mayTakeBack && <Button onPress={() => void act('take-back', 'Being taken back.')}>Take it back</Button>}
                    <QuietButton aria-expanded={isOpen} onPress={() => setOpen(!isOpen)}>{isOpen ? 'Hide the records' : 'The records'}</QuietButton>
                </Row>
                {isOpen && <Records change={change} />}
            </Stack>
        </article>
    );
}

function Records({ change }: { change: BulkChange }) {
    const { data: records = [] } = useQuery(bulkRecordsQuery(change.id, change.isUnderWay));
    return (
        <TableScroll $short>
            <Table>
                <thead><tr><th>Record</th><th>What came of it</th><th>Why</th></tr></thead>
                <tbody>
                    {records.map((one) => (
                        <tr key={one.id}>
                            <td className="words"><Link className="name" to={`/records/${one.id}`}>{one.name}</Link></td>
                            <td>{one.outcomeText}</td>
                            <td className="words">{one.message}</td>
                        </tr>
                    ))}
                </tbody>
            </Table>
        </TableScroll>
    );
}
