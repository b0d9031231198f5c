import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../client';

export function conflictSearchesQuery(engagementId: number | undefined) {
    return queryOptions({
        queryKey: ['conflicts', 'list', engagementId],
        queryFn: () => ask(api.GET('/api/conflict-searches', { params: { query: engagementId === undefined ? {} : { engagementId } } })),
    });
}

/** What searches made by themselves have newly found. */
export const waitingConflictsQuery = queryOptions({
    queryKey: ['conflicts', 'waiting'],
    queryFn: () => ask(api.GET('/api/conflict-searches/waiting')),
    staleTime: 0,
});

export function conflictSearchQuery(id: number) {
    return queryOptions({
        queryKey: ['conflicts', 'one', id],
        queryFn: () => ask(api.GET('/api/conflict-searches/{search}', { params: { path: { search: id } } })),
    });
}
