import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../client';
import { forget } from './cache';

const KEY = ['upkeep', 'look-alikes'];

const SECOND = 1000;

/** What is to settle; asked for again while the book is gone through. */
export function lookAlikesQuery(page = 1, reason = '') {
    return queryOptions({
        queryKey: [...KEY, page, reason],
        queryFn: () => ask(api.GET('/api/look-alikes', { params: { query: { page, ...(reason === '' ? {} : { reason }) } } })),
        staleTime: 0,
        refetchInterval: ({ state }) => state.data?.scan?.isUnderWay === true && SECOND,
    });
}

/** Whether the book is being gone through; asked for again while it is. */
export const lastScanQuery = queryOptions({
    queryKey: [...KEY, 'scan'],
    queryFn: () => ask(api.GET('/api/look-alikes/scan')),
    staleTime: 0,
    refetchInterval: ({ state }) => state.data?.[0]?.isUnderWay === true && SECOND,
});

/** Records that look alike, side by side. */
export function lookAlikeGroupQuery(group: number) {
    return queryOptions({
        queryKey: [...KEY, 'group', group],
        queryFn: () => ask(api.GET('/api/look-alikes/{group}', { params: { path: { group } } })),
        staleTime: 0,
        retry: false,
    });
}

/** Whom a record may be the same as. */
export function lookAlikesOfRecordQuery(id: number) {
    return queryOptions({
        queryKey: [...KEY, 'record', id],
        queryFn: () => ask(api.GET('/api/parties/{id}/look-alikes', { params: { path: { id } } })),
        staleTime: 0,
    });
}

export function decidedQuery(page: number) {
    return queryOptions({
        queryKey: [...KEY, 'decided', page],
        queryFn: () => ask(api.GET('/api/look-alikes/decided', { params: { query: { page } } })),
        staleTime: 0,
    });
}

/** Phones, emails and addresses that different people share. */
export const sharedLinesQuery = queryOptions({
    queryKey: [...KEY, 'lines'],
    queryFn: () => ask(api.GET('/api/shared-lines')),
    staleTime: 0,
});

/** After something was settled, or opened again. */
export function forgetLookAlikes(): Promise<void> {
    return forget(KEY, ['records', 'saved-lists']);
}
