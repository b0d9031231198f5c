import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { dropImport, forget, forgetImported, importQuery, keepAnswer } from '../../api/queries';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { Sheet } from '../../ui/Page';
import { Progress } from '../../ui/Progress';
import { useSay } from '../../ui/StatusLine';
import { Mark, Notice, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { ColumnsStep, type ReadBy } from './ColumnsStep';
import { LinesStep } from './LinesStep';

type Import = Schemas['Import'];
type Act = 'take' | 'stop' | 'take-back';

/** A file that comes in, from its columns to what came of it. */
export function ImportPage() {
    const id = Number(useParams().id);
    const { data, error, refetch } = useQuery(importQuery(id));
    useTitle(data?.name ?? 'Import');
    // What has come to an end has changed records that others show.
    const changing = data !== undefined && ['taking', 'counting', 'taking-back'].includes(data.state);
    const wasChanging = useRef(false);
    useEffect(() => {
        if (wasChanging.current && !changing) {
            forgetImported();
        }
        wasChanging.current = changing;
    }, [changing]);
    if (data === undefined) {
        return <AwaitedSheet what="The file" error={error} retry={() => void refetch()} />;
    }
    return <OneImport key={data.id} one={data} />;
}

function OneImport({ one }: { one: Import }) {
    const say = useSay();
    const navigate = useNavigate();
    const [isMatching, setMatching] = useState(false);
    const [readBy, setReadBy] = useState<ReadBy>();
    const path = { path: { import: one.id } };
    const act = async (what: Act) => {
        try {
            keepAnswer(importQuery(one.id).queryKey, await ask(what === 'take'
                ? api.POST('/api/imports/{import}/take', { params: path })
                : what === 'stop'
                    ? api.POST('/api/imports/{import}/stop', { params: path })
                    : api.POST('/api/imports/{import}/take-back', { params: path })));
        } catch (error) {
            say((error as Error).message);
            await forget(['imports']);
        }
    };
    const discard = async () => {
        try {
            await ask(api.DELETE('/api/imports/{import}', { params: path }));
            dropImport(one.id);
            await navigate('/imports');
            say(`${one.name} is discarded. What was imported stays.`);
        } catch (error) {
            say((error as Error).message);
        }
    };
    const isOfRecords = one.of === 'records';
    const showsColumns = one.isOpen && one.isTheirs && (one.state === 'columns' || isMatching);
    const showsLines = one.isTheirs && !showsColumns && ['checked', 'stopped', 'taken', 'taken-back'].includes(one.state);

    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Stack $gap="tight">
                    <Link to="/imports">All files</Link>
                    <Title>{one.name}</Title>
                    <Row>
                        <Small>{one.format}, by {one.by}, {one.day}</Small>
                        <span role="status">{one.stateText}</span>
                    </Row>
                </Stack>
                {one.failure !== '' && <Notice tone="stop" title={one.failure} />}
                {one.isStuck && <Mark tone="stop">The work was interrupted. Nothing is lost: start it again.</Mark>}
                <UnderWay one={one} />
                {showsColumns && (
                    <ColumnsStep
                        key={`${one.of} ${one.state}`} one={one} readBy={readBy} onRead={setReadBy}
                        onDone={() => setMatching(false)}
                    />
                )}
                {!one.isTheirs && <Quiet>Only {one.by} or an administrator can look into it: what is in a file may be private.</Quiet>}
                <Row $gap="small">
                    {(one.mayTake || one.isStuck) && !showsColumns && (
                        <MainButton onPress={() => act('take')}>{takingWords(one)}</MainButton>
                    )}
                    {one.mayStop && <Button onPress={() => act('stop')}>Stop</Button>}
                    {one.isOpen && one.isTheirs && one.state === 'checked' && !showsColumns && (
                        <Button onPress={() => setMatching(true)}>Columns and choices</Button>
                    )}
                    {one.mayTakeBack && <Button onPress={() => act('take-back')}>Take it back</Button>}
                    {one.state === 'taken' && <Link to={isOfRecords ? '/directory' : '/ledger'}>{isOfRecords ? 'Open the directory' : 'Open the ledger'}</Link>}
                    {one.mayForget && <QuietButton onPress={discard}>Discard this file</QuietButton>}
                    {showsLines && one.state === 'checked' && <Small>{stayingOut(one)}</Small>}
                </Row>
                {showsLines && <LinesStep one={one} />}
            </Stack>
        </Sheet>
    );
}

function takingWords({ isStuck, state, found, of }: Import): string {
    if (isStuck) {
        return 'Start again';
    }
    if (state === 'stopped') {
        return 'Go on';
    }
    const what = of === 'documents' ? (found === 1 ? 'document' : 'documents') : (found === 1 ? 'record' : 'records');
    return `Import ${found.toLocaleString('en')} ${what}`;
}

/** What of it is not imported as it stands. */
function stayingOut({ outcomes, of }: Import): string {
    const out = outcomes.filter(({ outcome }) => outcome === 'doubtful' || outcome === 'wrong').map(({ title, count }) => `${count.toLocaleString('en')} ${title}`);
    return out.length === 0 ? '' : `${of === 'documents' ? 'Documents' : 'Lines'} that are not imported so: ${out.join(', ')}.`;
}

/** How far the work has come that is under way. */
function UnderWay({ one }: { one: Import }) {
    if (!one.isUnderWay || one.isStuck) {
        return null;
    }
    const of = one.state === 'reading' || one.state === 'checking' ? one.lines : one.found;
    return (
        <Stack $gap="tight" $stretch>
            <Progress label={one.stateText} done={one.state === 'reading' ? one.lines : one.done} of={Math.max(of, one.done)} />
            <Small>You can leave this page; it goes on.</Small>
        </Stack>
    );
}
