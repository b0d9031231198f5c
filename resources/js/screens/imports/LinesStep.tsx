import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { forget, importLinesQuery, importQuery, keepAnswer, type LinesWanted } from '../../api/queries';
import { Button } from '../../ui/Button';
import { OneOf } from '../../ui/OneOf';
import { Pager } from '../../ui/Pager';
import { useSay } from '../../ui/StatusLine';
import { Heading, Quiet, Row, Small, Stack } from '../../ui/Text';
import { Unread } from '../../ui/Unread';
import { ImportLine, LineList } from './ImportLine';

type Import = Schemas['Import'];
type Outcome = Schemas['ImportLine']['outcome'];

/** What can be said of all lines alike that come to the same. */
const FOR_ALL: Partial<Record<Outcome, { decision: 'new' | 'out' | null; name: string }[]>> = {
    doubtful: [
        { decision: null, name: 'Take the likeliest for all' },
        { decision: 'new', name: 'All are new' },
        { decision: 'out', name: 'Leave all out' },
    ],
    wrong: [{ decision: 'out', name: 'Leave all out' }],
    changes: [{ decision: 'out', name: 'Leave all out' }],
    'left-out': [{ decision: null, name: 'Take all in again' }],
};

/** What is left to do with those that were not imported. */
const AFTERWARDS: Partial<Record<string, string>> = {
    doubtful: 'Not imported. Hand the file in once more to decide them: what was imported is the same already then.',
    wrong: 'Not imported. Save them as a table, mend that, and hand it in.',
    refused: 'Not imported, for the reason that each says. Hand the file in once more: what was imported is the same already then.',
};

/** The lines of a file, or its documents, by what they come to, or by what came of them. */
export function LinesStep({ one }: { one: Import }) {
    const say = useSay();
    const isOpen = one.state === 'checked';
    const isOfRecords = one.of === 'records';
    const counts = isOpen ? one.outcomes : [...one.results, ...one.outcomes.filter(({ outcome }) => outcome === 'wrong' || outcome === 'doubtful')];
    const [wanted, setWanted] = useState('');
    // First what somebody has to look at.
    const shown = counts.find(({ outcome }) => outcome === wanted)
        ?? counts.find(({ outcome }) => outcome === 'doubtful' || outcome === 'wrong' || outcome === 'refused' || outcome === 'kept') ?? counts[0];
    const decideAll = async (outcome: Outcome, decision: 'new' | 'out' | null) => {
        try {
            keepAnswer(importQuery(one.id).queryKey, await ask(api.POST('/api/imports/{import}/decide', {
                params: { path: { import: one.id } }, body: { outcome, decision },
            })));
        } catch (error) {
            say((error as Error).message);
        }
        await forget(['imports', one.id]);
    };
    if (shown === undefined) {
        return null;
    }
    const outcome = shown.outcome as Outcome;
    return (
        <Stack $stretch as="section" aria-labelledby="lines">
            <Row $apart>
                <Heading id="lines">{isOfRecords ? 'The lines' : 'The documents'}</Heading>
                {one.outcomes.some(({ outcome: is }) => is === 'wrong') && (
                    <a href={`/api/imports/${one.id}/wrong`}>Save the wrong lines as a table</a>
                )}
            </Row>
            <OneOf
                label={isOfRecords ? 'Which lines' : 'Which documents'}
                options={counts.map(({ outcome: id, title, count }) => ({ id, name: `${title} ${count.toLocaleString('en')}` }))}
                value={shown.outcome}
                onChange={setWanted}
            />
            {isOpen && FOR_ALL[outcome] !== undefined && (
                <Row $gap="small">
                    {FOR_ALL[outcome].filter(({ decision }) => isOfRecords || decision !== 'new').map(({ decision, name }) => (
                        <Button key={name} onPress={() => decideAll(outcome, decision)}>{name}</Button>
                    ))}
                </Row>
            )}
            {one.state === 'taken' && AFTERWARDS[shown.outcome] !== undefined && <Small>{AFTERWARDS[shown.outcome]}</Small>}
            <Lines key={shown.outcome} one={one} wanted={isOpen || ['wrong', 'doubtful'].includes(outcome) ? { outcome } : { done: shown.outcome as NonNullable<LinesWanted['done']> }} />
        </Stack>
    );
}

function Lines({ one, wanted }: { one: Import; wanted: LinesWanted }) {
    const [page, setPage] = useState(1);
    const { data, error, refetch } = useQuery(importLinesQuery(one.id, wanted, page));
    if (data === undefined) {
        return error === null ? <Quiet>Reading the lines …</Quiet> : <Unread what="The lines" error={error} retry={() => void refetch()} />;
    }
    return (
        // Of a line that is decided, the keyboard goes to the first of those that are left.
        <Stack $stretch role="group" aria-labelledby="lines" tabIndex={-1}>
            {data.lines.length === 0 && <Quiet>None of them any more.</Quiet>}
            <LineList>
                {data.lines.map((line) => <ImportLine key={line.line} one={one} line={line} />)}
            </LineList>
            <Pager page={data.page} pages={data.pages} onGo={setPage} />
        </Stack>
    );
}
