import { ask, api, type Schemas } from '../api/client';
import { forget, jobsQuery, keepAnswer } from '../api/queries';
import { useSaving } from '../api/useSaving';
import { Button, ButtonLink, QuietButton } from '../ui/Button';
import { Progress } from '../ui/DropPlace';
import { Mark, Quiet, Row, Small } from '../ui/Text';

interface Props {
    /** What the group is. */
    label: string;
    job: Schemas['Job'] | undefined;
    /** On the button, and of the work while it runs. */
    make: string;
    making: string;
    hint: string;
    /** How far it is. */
    far: (job: Schemas['Job']) => string;
    save: string;
    begin: () => Promise<unknown>;
}

/** A file that is made behind the screen, which may be left meanwhile: begun, its progress, saved, discarded. */
export function BehindScreen({ label, job, make, making, hint, far, save, begin }: Props) {
    const { run, problems, message } = useSaving();
    const start = () => run(async () => {
        await begin();
        await forget(jobsQuery.queryKey);
    });
    const remove = (id: number) => run(async () => {
        keepAnswer(jobsQuery.queryKey, await ask(api.DELETE('/api/jobs/{job}', { params: { path: { job: id } } })));
    });
    const problem = problems.from ?? message;

    return (
        <Row $gap="small" className="internal" role="group" aria-label={label}>
            {(job === undefined || job.state === 'failed') && <Button onPress={() => void start()}>{make}</Button>}
            {job === undefined && <Quiet>{hint}</Quiet>}
            {job?.state === 'running' && (
                <>
                    <Progress aria-label={making} max={Math.max(job.total, 1)} value={job.done} />
                    <Small role="status">{far(job)}; you may leave this page</Small>
                </>
            )}
            {job?.state === 'ready' && (
                <>
                    <ButtonLink href={`/api/jobs/${job.id}/file`} target="_blank" rel="external">{save}</ButtonLink>
                    <Small>kept for a day</Small>
                    <QuietButton onPress={() => void remove(job.id)}>Discard it</QuietButton>
                </>
            )}
            {job?.state === 'failed' && <Mark tone="stop">{job.failure}</Mark>}
            {problem !== undefined && <Mark tone="stop">{problem}</Mark>}
        </Row>
    );
}
