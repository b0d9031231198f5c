import { keepPreviousData, queryOptions, type QueryKey } from '@tanstack/react-query';
import { api, ask } from '../client';
import { forget } from './cache';

/** What there are lists of. */
export type ListOf = 'parties' | 'documents' | 'engagements';

/** What is asked again when something of a list changes. */
const AREA: Record<ListOf, string> = { parties: 'records', documents: 'ledger', engagements: 'engagements' };

/** A list of records as it stands in the address. */
export interface WantedList {
    filter?: string;
    sort?: string;
    columns?: string;
    archived?: string;
    view?: string;
}

/** The list of records that an address asks for. */
export function wantedIn(search: URLSearchParams): WantedList {
    return Object.fromEntries(['filter', 'sort', 'columns', 'archived', 'view'].flatMap((key) => {
        const value = search.get(key);
        return value === null ? [] : [[key, value]];
    }));
}

export function directoryQuery(wanted: WantedList, page: number) {
    const { filter = '', sort = '', columns = '', archived, view = '' } = wanted;
    const queryKey: QueryKey = ['records', 'directory', filter, sort, columns, archived === '1', view, page];
    return queryOptions({
        queryKey,
        queryFn: ({ signal }) => ask(api.GET('/api/parties', {
            params: {
                query: {
                    page,
                    ...(filter === '' ? {} : { filter }),
                    ...(sort === '' ? {} : { sort }),
                    ...(columns === '' ? {} : { columns }),
                    ...(archived === '1' ? { archived: '1' } : {}),
                    ...(view === 'cards' || view === 'next-steps' ? { view } : {}),
                },
            },
            signal,
        })),
    });
}

/** What a list can be asked for, sorted by and shown with. */
export function listFieldsQuery(of: ListOf) {
    return queryOptions({
        queryKey: [AREA[of], 'fields', of],
        queryFn: () => ask(api.GET('/api/long-lists/{list}/fields', { params: { path: { list: of } } })),
        staleTime: 60_000,
    });
}

/** What may come next in the sentence that is being typed. */
export function proposalsQuery(of: ListOf, typed: string) {
    return queryOptions({
        queryKey: [AREA[of], 'proposals', of, typed],
        queryFn: ({ signal }) => ask(api.GET('/api/long-lists/{list}/suggestions', { params: { path: { list: of }, query: { typed } }, signal })),
        placeholderData: keepPreviousData,
        retry: false,
    });
}

/** The lists under names; those of records with how many are in each. */
export function savedListsQuery(of: ListOf) {
    return queryOptions({
        queryKey: [AREA[of], 'saved-lists', of],
        queryFn: () => ask(api.GET('/api/long-lists/{list}/saved', { params: { path: { list: of } } })),
    });
}

/** A list is shown with other columns from now on. */
export function forgetList(of: ListOf): Promise<void> {
    return forget([AREA[of], LISTED[of]]);
}

const LISTED: Record<ListOf, string> = { parties: 'directory', documents: 'documents', engagements: 'list' };

/** Where the records of a list are: those in sight, gathered by nearness. */
export function placesQuery({ filter = '', archived }: WantedList, nearness: number, inside: string) {
    return queryOptions({
        queryKey: ['records', 'places', filter, archived === '1', nearness, inside],
        queryFn: ({ signal }) => ask(api.GET('/api/parties/places', {
            params: {
                query: {
                    nearness,
                    ...(inside === '' ? {} : { inside }),
                    ...(filter === '' ? {} : { filter }),
                    ...(archived === '1' ? { archived: '1' } : {}),
                },
            },
            signal,
        })),
        placeholderData: keepPreviousData,
    });
}

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

/** What is counted of a list, and of which time. */
export interface WantedCounts {
    filter: string;
    by: string;
    archived: string;
    period: string;
}

function countedIn({ filter, by, archived, period }: WantedCounts) {
    return {
        by,
        ...(filter === '' ? {} : { filter }),
        ...(archived === '1' ? { archived } : {}),
        ...(period === '' ? {} : { period }),
    };
}

/** The records of a list, counted by one field or two. */
export function countsQuery(wanted: WantedCounts) {
    return queryOptions({
        queryKey: ['records', 'counts', wanted],
        queryFn: () => ask(api.GET('/api/parties/counts', { params: { query: countedIn(wanted) } })),
        placeholderData: keepPreviousData,
    });
}

/** What the records of a list were billed and paid, month by month. */
export function monthsQuery(wanted: WantedCounts) {
    return queryOptions({
        queryKey: ['records', 'months', { ...wanted, by: '' }],
        queryFn: () => ask(api.GET('/api/parties/months', { params: { query: countedIn(wanted) } })),
        placeholderData: keepPreviousData,
    });
}
