import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { api, ask } from '../client';

/** A list of records as it stands in the address. */
export interface WantedList {
    filter?: string;
    sort?: string;
    columns?: string;
    archived?: string;
}

export function directoryQuery(wanted: WantedList, page: number) {
    const { filter = '', sort = '', columns = '', archived } = wanted;
    return queryOptions({
        queryKey: ['records', 'directory', filter, sort, columns, archived === '1', page],
        queryFn: ({ signal }) => ask(api.GET('/api/parties', {
            params: {
                query: {
                    page,
                    ...(filter === '' ? {} : { filter }),
                    ...(sort === '' ? {} : { sort }),
                    ...(columns === '' ? {} : { columns }),
                    ...(archived === '1' ? { archived: '1' } : {}),
                },
            },
            signal,
        })),
    });
}

/** What a list of records can be asked for, sorted by and shown with. */
export const listFieldsQuery = queryOptions({
    queryKey: ['records', 'fields'],
    queryFn: () => ask(api.GET('/api/parties/fields')),
    staleTime: 60_000,
});

/** What may come next in the sentence that is being typed. */
export function proposalsQuery(typed: string) {
    return queryOptions({
        queryKey: ['records', 'proposals', typed],
        queryFn: ({ signal }) => ask(api.GET('/api/parties/suggestions', { params: { query: { typed } }, signal })),
        placeholderData: keepPreviousData,
        retry: false,
    });
}

/** The lists under names, with how many are in each. */
export const savedListsQuery = queryOptions({
    queryKey: ['records', 'saved-lists'],
    queryFn: () => ask(api.GET('/api/saved-lists')),
});

/** At which line each letter begins, while the list is sorted by name. */
export function lettersQuery({ filter = '', archived }: WantedList) {
    return queryOptions({
        queryKey: ['records', 'letters', filter, archived === '1'],
        queryFn: ({ signal }) => ask(api.GET('/api/parties/letters', {
            params: { query: { ...(filter === '' ? {} : { filter }), ...(archived === '1' ? { archived: '1' } : {}) } },
            signal,
        })),
    });
}

/** The records of a list, counted by one field or two. */
export function countsQuery(filter: string, by: string, archived: string) {
    return queryOptions({
        queryKey: ['records', 'counts', filter, by, archived],
        queryFn: () => ask(api.GET('/api/parties/counts', {
            params: { query: { by, ...(filter === '' ? {} : { filter }), ...(archived === '1' ? { archived } : {}) } },
        })),
        placeholderData: keepPreviousData,
    });
}
