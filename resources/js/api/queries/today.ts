import { queryOptions } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../client';
import { forget } from './cache';
import { engagementQuery } from './engagements';
import { recordQuery } from './records';

export function gapsQuery(page: number) {
    return queryOptions({
        queryKey: ['upkeep', 'gaps', page],
        queryFn: () => ask(api.GET('/api/gaps', { params: { query: { page } } })),
        staleTime: 0,
    });
}

export const todayQuery = queryOptions({
    queryKey: ['today'],
    queryFn: () => ask(api.GET('/api/today')),
    staleTime: 0,
});

const MINUTE = 60_000;

/** Reminders whose day has come; asked for again every minute, and not at each save: what was saved is said first. */
export const dueQuery = queryOptions({
    queryKey: ['due'],
    queryFn: () => ask(api.GET('/api/reminders')),
    refetchInterval: MINUTE,
    staleTime: 0,
});

/** After something was done about a reminder of a record. */
export function forgetReminders({ kind, id }: Schemas['SubjectLink']): void {
    void forget(
        ['today'],
        ['due'],
        ...(kind === 'party'
            ? [recordQuery(id).queryKey, ['records', 'stream', id]]
            : [engagementQuery(id).queryKey, ['engagements', 'stream', id]]),
    );
}
