import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../client';
import { forget, queryClient } from './cache';

const KEY = ['upkeep', 'merging'];

/** The record that several become, as it is decided so far; worked out anew with each decision. */
export function mergePreviewQuery(body: Schemas['MergeInput']) {
    return queryOptions({
        queryKey: [...KEY, 'preview', body],
        queryFn: ({ signal }) => ask(api.POST('/api/merges/preview', { body, signal })),
        staleTime: 0,
        retry: false,
        placeholderData: keepPreviousData,
    });
}

/** What somebody proposes to make one. */
export const proposedMergesQuery = queryOptions({
    queryKey: [...KEY, 'proposed'],
    queryFn: () => ask(api.GET('/api/merges/proposed')),
    staleTime: 0,
});

/** What was decided in a proposal. */
export function mergeDecidedQuery(merge: number) {
    return queryOptions({
        queryKey: [...KEY, 'decided', merge],
        queryFn: () => ask(api.GET('/api/merges/{merge}/input', { params: { path: { merge } } })),
        staleTime: 0,
        retry: false,
    });
}

/** A record as it was before it was made one with another. */
export function formerRecordQuery(merge: number, former: number) {
    return queryOptions({
        queryKey: [...KEY, 'former', merge, former],
        queryFn: () => ask(api.GET('/api/merges/{merge}/former/{former}', { params: { path: { merge, former } } })),
    });
}

/** What becomes of each record when they are taken apart. */
export function apartQuery(merge: number) {
    return queryOptions({
        queryKey: [...KEY, 'apart', merge],
        queryFn: () => ask(api.GET('/api/merges/{merge}/apart', { params: { path: { merge } } })),
        staleTime: 0,
        retry: false,
    });
}

/** After a proposal was made or taken back. */
export function forgetProposals(): Promise<void> {
    return forget(KEY);
}

/** After records were made one, or taken apart: everything may tell of it. */
export function forgetMerged(): Promise<void> {
    void queryClient.cancelQueries();
    return queryClient.invalidateQueries();
}
