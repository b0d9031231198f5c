import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { api, ask } from '../client';
import { forget } from './cache';

export const usersQuery = queryOptions({
    queryKey: ['office', 'users'],
    queryFn: () => ask(api.GET('/api/users')),
});

export const countriesQuery = queryOptions({
    queryKey: ['countries'],
    queryFn: () => ask(api.GET('/api/countries')),
    staleTime: Infinity,
});

export const choicesQuery = queryOptions({
    queryKey: ['choices'],
    queryFn: () => ask(api.GET('/api/choices')),
    staleTime: 300_000,
});

export const officeQuery = queryOptions({
    queryKey: ['office', 'settings'],
    queryFn: () => ask(api.GET('/api/office')),
});

export const listsQuery = queryOptions({
    queryKey: ['office', 'lists'],
    queryFn: () => ask(api.GET('/api/lists')),
});

export const termsQuery = queryOptions({
    queryKey: ['office', 'terms'],
    queryFn: () => ask(api.GET('/api/terms')),
});

export const sheetsQuery = queryOptions({
    queryKey: ['office', 'sheets'],
    queryFn: () => ask(api.GET('/api/sheets')),
});

export const booksQuery = queryOptions({
    queryKey: ['books'],
    queryFn: () => ask(api.GET('/api/books')),
    staleTime: 300_000,
});

export const actsQuery = infiniteQueryOptions({
    queryKey: ['office', 'acts'],
    queryFn: ({ pageParam }: { pageParam: number | null }) =>
        ask(api.GET('/api/acts', { params: { query: pageParam === null ? {} : { before: pageParam } } })),
    initialPageParam: null as number | null,
    getNextPageParam: ({ before }) => before,
    staleTime: 0,
});

export function previewQuery(terms: string, documentDate: string) {
    return queryOptions({
        queryKey: ['terms-preview', terms, documentDate],
        queryFn: ({ signal }) => ask(api.POST('/api/terms/preview', { body: { terms, documentDate }, signal })),
        enabled: terms.trim() !== '',
        staleTime: Infinity,
    });
}

/** After the office's own words or sheets have changed: everything that offers or shows them. */
export function forgetChoices(): void {
    void forget(['choices'], ['books'], ['records'], ['finding'], ['today'], ['due'], ['upkeep'], ['ledger']);
}

/** The mail server that the office sends by. */
export const mailServerQuery = queryOptions({
    queryKey: ['office', 'mail-server'],
    queryFn: () => ask(api.GET('/api/office/mail-server')),
});

/** Backups of the installation, and how they are kept. */
export const backupsQuery = queryOptions({
    queryKey: ['office', 'backups'],
    queryFn: () => ask(api.GET('/api/office/backups')),
    staleTime: 0,
});

/** Background tasks that failed for good. */
export const failedTasksQuery = queryOptions({
    queryKey: ['office', 'failed-tasks'],
    queryFn: () => ask(api.GET('/api/office/failed-tasks')),
    staleTime: 0,
});
