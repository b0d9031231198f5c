import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../client';

const SECOND = 1000;

/** The letters that the office writes again and again. */
export const letterTemplatesQuery = queryOptions({
    queryKey: ['letters', 'templates'],
    queryFn: () => ask(api.GET('/api/letter-templates')),
});

/** The fields that a letter may have. */
export function letterFieldsQuery(hasEngagement: boolean) {
    return queryOptions({
        queryKey: ['letters', 'fields', hasEngagement],
        queryFn: () => ask(api.GET('/api/letter-fields', { params: { query: hasEngagement ? { engagement: '1' } : {} } })),
    });
}

/** Whom letters would go to, and who would be left out. */
export function lettersToQuery(body: Schemas['LettersToInput']) {
    return queryOptions({
        queryKey: ['letters', 'to', body],
        queryFn: ({ signal }) => ask(api.POST('/api/letters/to', { body, signal })),
        placeholderData: keepPreviousData,
        staleTime: 0,
        retry: false,
    });
}

/** How a letter would read. */
export function writtenLetterQuery(body: Schemas['LetterInput']) {
    return queryOptions({
        queryKey: ['letters', 'written', body],
        queryFn: ({ signal }) => ask(api.POST('/api/letters/preview', { body, signal })),
        placeholderData: keepPreviousData,
        staleTime: 0,
        retry: false,
    });
}

/** Letters to many, the latest first; looked at again while some are being written. */
export const letterRunsQuery = queryOptions({
    queryKey: ['letters', 'runs'],
    queryFn: () => ask(api.GET('/api/letters')),
    staleTime: 0,
    refetchInterval: ({ state }) => (state.data?.some(({ isUnderWay }) => isUnderWay) === true ? SECOND : false),
});

export function letterRunQuery(id: number) {
    return queryOptions({
        queryKey: ['letters', 'runs', id],
        queryFn: () => ask(api.GET('/api/letters/{run}', { params: { path: { run: id } } })),
        staleTime: 0,
        refetchInterval: ({ state }) => (state.data?.run.isUnderWay === true ? SECOND : false),
    });
}
