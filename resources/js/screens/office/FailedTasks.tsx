import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { failedTasksQuery, keepAnswer } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { Button, QuietButton } from '../../ui/Button';
import { momentText } from '../../ui/moment';
import { useSay } from '../../ui/StatusLine';
import { Heading, Notice, Small, Stack } from '../../ui/Text';
import { BookItems } from './BooksSection';

/** Background tasks that failed for good; nothing is shown while there are none. */
export function FailedTasks() {
    const { data: tasks } = useQuery(failedTasksQuery);
    const { run, message } = useSaving();
    const say = useSay();
    if (tasks === undefined || tasks.length === 0) {
        return null;
    }
    const retry = (task: number) => run(async () => {
        keepAnswer(failedTasksQuery.queryKey, await ask(api.POST('/api/office/failed-tasks/{task}/retry', { params: { path: { task } } })));
        say('The task is waiting to run again.');
    });
    const dismiss = (task: number) => run(async () => {
        keepAnswer(failedTasksQuery.queryKey, await ask(api.DELETE('/api/office/failed-tasks/{task}', { params: { path: { task } } })));
        say('Task dismissed.');
    });
    return (
        <Stack as="section" data-section aria-label="Failed tasks" $stretch>
            <Heading>Failed tasks</Heading>
            <Small>Retry a task once its cause is gone. If it fails again, ask for help with the error shown here.</Small>
            {message !== undefined && <Notice tone="stop" title="Not done">{message}</Notice>}
            <BookItems>
                {tasks.map(({ id, title, at, error }) => (
                    <li key={id}>
                        <span>{title}</span>
                        <Small>{momentText(at)} · {error}</Small>
                        <Button aria-label={`Retry task: ${title}`} onPress={() => void retry(id)}>Retry task</Button>
                        <QuietButton aria-label={`Dismiss task: ${title}`} onPress={() => void dismiss(id)}>Dismiss task</QuietButton>
                    </li>
                ))}
            </BookItems>
        </Stack>
    );
}
