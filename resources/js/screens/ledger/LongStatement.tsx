import { useQuery } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../api/client';
import { forget, jobsQuery, keepAnswer } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { Button, ButtonLink, QuietButton } from '../../ui/Button';
import { Progress } from '../../ui/DropPlace';
import { Mark, Quiet, Row, Small } from '../../ui/Text';

type Input = Schemas['StatementInput'];

interface Props {
    partyId: number;
    query: { side: string; currency: string; from: string; to: string };
}

/** A statement that is too long to be drawn while somebody waits: made behind the screen, which may be left meanwhile. */
export function LongStatement({ partyId, query }: Props) {
    const { data: jobs } = useQuery(jobsQuery);
    const { run, problems, message } = useSaving();
    const job = jobs?.find(
        (one) => one.partyId === partyId && (['side', 'currency', 'from', 'to'] as const).every((part) => one[part] === query[part]),
    );
    const params = { path: { id: partyId } };
    const begin = () => run(async () => {
        await ask(api.POST('/api/parties/{id}/statement', { params, body: query as Input }));
        await forget(jobsQuery.queryKey);
    });
    const remove = (id: number) => run(async () => {
        keepAnswer(jobsQuery.queryKey, await ask(api.DELETE('/api/jobs/{job}', { params: { path: { job: id } } })));
    });
    const problem = problems.from ?? message;

    return (
        <Row $gap="small" className="internal" role="group" aria-label="PDF">
            {(job === undefined || job.state === 'failed') && <Button onPress={() => void begin()}>Make the PDF</Button>}
            {job === undefined && <Quiet>A long statement: it takes a moment, and you may leave this page.</Quiet>}
            {job?.state === 'running' && (
                <>
                    <Progress aria-label="Making the PDF" max={Math.max(job.total, 1)} value={job.done} />
                    <Small role="status">
                        {job.done.toLocaleString('en')} of {job.total.toLocaleString('en')} lines; you may leave this page
                    </Small>
                </>
            )}
            {job?.state === 'ready' && (
                <>
                    <ButtonLink href={`/api/jobs/${job.id}/file`} target="_blank" rel="external">Save the PDF</ButtonLink>
                    <Small>kept for a day</Small>
                    <QuietButton onPress={() => void remove(job.id)}>Discard it</QuietButton>
                </>
            )}
            {job?.state === 'failed' && <Mark tone="stop">{job.failure}</Mark>}
            {problem !== undefined && <Mark tone="stop">{problem}</Mark>}
        </Row>
    );
}
