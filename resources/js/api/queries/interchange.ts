import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { api, ask, type Asked, type Schemas } from '../client';
import { forget, queryClient } from './cache';

const SECOND = 1000;

/** Whether somebody works on it: it is another in a moment. */
function isBusy({ isUnderWay, isStuck }: Schemas['Import']): boolean {
    return isUnderWay && !isStuck;
}

/** Files that are read in; looked at again while work on one goes on. */
export const importsQuery = queryOptions({
    queryKey: ['imports'],
    queryFn: () => ask(api.GET('/api/imports')),
    staleTime: 0,
    refetchInterval: ({ state }) => (state.data?.some(isBusy) === true ? SECOND : false),
});

/** Where address books elsewhere may be read. */
export const bookPlacesQuery = queryOptions({
    queryKey: ['imports', 'places'],
    queryFn: () => ask(api.GET('/api/imports/places')),
    staleTime: 0,
});

export function importQuery(id: number) {
    return queryOptions({
        queryKey: ['imports', id],
        queryFn: () => ask(api.GET('/api/imports/{import}', { params: { path: { import: id } } })),
        staleTime: 0,
        refetchInterval: ({ state }) => (state.data !== undefined && isBusy(state.data) ? SECOND : false),
    });
}

export function importColumnsQuery(id: number) {
    return queryOptions({
        queryKey: ['imports', id, 'columns'],
        queryFn: () => ask(api.GET('/api/imports/{import}/columns', { params: { path: { import: id } } })),
        staleTime: 0,
    });
}

/** Which lines of a file: those that come to the same, or of which the same came. */
export interface LinesWanted {
    outcome?: Schemas['ImportLine']['outcome'];
    done?: NonNullable<Schemas['ImportLine']['done']>;
}

export function importLinesQuery(id: number, wanted: LinesWanted, page: number) {
    return queryOptions({
        queryKey: ['imports', id, 'lines', wanted, page],
        queryFn: () => ask(api.GET('/api/imports/{import}/lines', { params: { path: { import: id }, query: { ...wanted, page } } })),
        placeholderData: keepPreviousData,
        staleTime: 0,
    });
}

/** What labels or envelopes of a list would be. */
export function mailingQuery(query: Asked<'readMailing'>) {
    return queryOptions({
        queryKey: ['mailing', query],
        queryFn: ({ signal }) => ask(api.GET('/api/mailing', { params: { query }, signal })),
        staleTime: 0,
        retry: false,
    });
}

/** What was sent by email, the newest first. */
export function outboxQuery(q: string, page: number) {
    return queryOptions({
        queryKey: ['outbox', q, page],
        queryFn: ({ signal }) => ask(api.GET('/api/messages', { params: { query: { page, ...q === '' ? {} : { q } } }, signal })),
        placeholderData: keepPreviousData,
        staleTime: 0,
        // What is on its way is somewhere else in a moment.
        refetchInterval: ({ state }) => (state.data?.messages.some((one) => one.state === 'waiting' || one.state === 'sending') === true ? SECOND : false),
    });
}

/** What is discarded is in no list any more, not even for a moment, though its page is still there. */
export function dropImport(id: number): void {
    queryClient.setQueryData(importsQuery.queryKey, (files) => files?.filter((one) => one.id !== id));
}

/** After a file has changed the book: everything that tells of it. */
export function forgetImported(): void {
    void forget(['imports'], ['ledger'], ['engagements'], ['records'], ['finding'], ['today'], ['due'], ['upkeep'], ['lists']);
}
