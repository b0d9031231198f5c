import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../client';

const SECOND = 1000;

/** The bulk changes, the latest first; looked at again while one is under way. */
export const bulkChangesQuery = queryOptions({
    queryKey: ['records', 'bulk-changes'],
    queryFn: () => ask(api.GET('/api/bulk-changes')),
    staleTime: 0,
    refetchInterval: ({ state }) => (state.data?.some(({ isUnderWay }) => isUnderWay) === true ? SECOND : false),
});

/** What came of one for each record. */
export function bulkRecordsQuery(id: number, isUnderWay: boolean) {
    return queryOptions({
        queryKey: ['records', 'bulk-changes', id],
        queryFn: () => ask(api.GET('/api/bulk-changes/{bulkChange}/records', { params: { path: { bulkChange: id } } })),
        staleTime: 0,
        refetchInterval: isUnderWay ? SECOND : false,
    });
}
