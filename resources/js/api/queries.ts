import { QueryClient, queryOptions } from '@tanstack/react-query';
import { api, ask, Refused, Unreachable } from './client';

export type PartyKind = 'person' | 'company';

export const queryClient = new QueryClient({
    defaultOptions: {
        queries: {
            staleTime: 10_000,
            // The office's server may be on this very machine: whether there is a network says nothing.
            networkMode: 'always',
            refetchOnWindowFocus: false,
            retry: (failures, error) => error instanceof Unreachable && failures < 2,
        },
    },
});

/** Whether the error says that the record is not there. */
export function isMissing(error: unknown): boolean {
    return error instanceof Refused && error.problem.status === 404;
}

export const sessionQuery = queryOptions({
    queryKey: ['session'],
    queryFn: () => ask(api.GET('/api/session')),
    staleTime: Infinity,
});

export const usersQuery = queryOptions({
    queryKey: ['users'],
    queryFn: () => ask(api.GET('/api/users')),
});

export const countriesQuery = queryOptions({
    queryKey: ['countries'],
    queryFn: () => ask(api.GET('/api/countries')),
    staleTime: Infinity,
});

export const pairsQuery = queryOptions({
    queryKey: ['pairs'],
    queryFn: () => ask(api.GET('/api/look-alikes')),
    staleTime: 0,
});

export function gapsQuery(page: number) {
    return queryOptions({
        queryKey: ['gaps', page],
        queryFn: () => ask(api.GET('/api/gaps', { params: { query: { page } } })),
        staleTime: 0,
    });
}

export const choicesQuery = queryOptions({
    queryKey: ['choices'],
    queryFn: () => ask(api.GET('/api/choices')),
    staleTime: 300_000,
});

export const todayQuery = queryOptions({
    queryKey: ['today'],
    queryFn: () => ask(api.GET('/api/today')),
    staleTime: 0,
});

const MINUTE = 60_000;

/** Reminders whose day has come; asked for again every minute. */
export const dueQuery = queryOptions({
    queryKey: ['due'],
    queryFn: () => ask(api.GET('/api/reminders')),
    refetchInterval: MINUTE,
    staleTime: 0,
});

/** After something was done about a reminder of a record. */
export function forgetReminders(partyId: number): void {
    void queryClient.invalidateQueries({
        predicate: ({ queryKey: [what, id] }) => what === 'today' || what === 'due' || ((what === 'record' || what === 'changes') && id === partyId),
    });
}

export const officeQuery = queryOptions({
    queryKey: ['office'],
    queryFn: () => ask(api.GET('/api/office')),
});

export const listsQuery = queryOptions({
    queryKey: ['lists'],
    queryFn: () => ask(api.GET('/api/lists')),
});

export const termsQuery = queryOptions({
    queryKey: ['terms'],
    queryFn: () => ask(api.GET('/api/terms')),
});

export const sheetsQuery = queryOptions({
    queryKey: ['sheets'],
    queryFn: () => ask(api.GET('/api/sheets')),
});

/** After the office's own words or sheets have changed: everything that offers or shows them. */
export function forgetChoices(): void {
    void queryClient.invalidateQueries({ predicate: ({ queryKey: [what] }) => what !== 'session' && what !== 'lists' && what !== 'sheets' && what !== 'terms' });
}

/** After a record has changed: lists, answers and other records may show some of it. */
export function forgetLists(exceptRecord: number): void {
    void queryClient.invalidateQueries({
        predicate: ({ queryKey: [what, id] }) => what === 'directory' || what === 'find' || what === 'changes' || what === 'today'
            || (what === 'record' && id !== exceptRecord),
    });
}

export function recordQuery(id: number) {
    return queryOptions({
        queryKey: ['record', id],
        queryFn: () => ask(api.GET('/api/parties/{id}', { params: { path: { id } } })),
    });
}

/** Who is likely to be related: at the same address, or of the same family name. */
export function kinQuery(id: number) {
    return queryOptions({
        queryKey: ['kin', id],
        queryFn: () => ask(api.GET('/api/parties/{id}/kin', { params: { path: { id } } })),
        staleTime: 0,
    });
}

export function directoryQuery(page: number, archived: boolean) {
    return queryOptions({
        queryKey: ['directory', page, archived],
        queryFn: () => ask(api.GET('/api/parties', { params: { query: { page, ...(archived ? { archived } : {}) } } })),
    });
}

export interface FindScope {
    kind?: PartyKind;
    /** False leaves archived records out. */
    archived?: boolean;
}

export function findQuery(q: string, scope: FindScope) {
    return queryOptions({
        queryKey: ['find', q, scope],
        queryFn: () => ask(api.GET('/api/find', { params: { query: { q, ...scope } } })),
        enabled: q !== '',
        // Somebody may just have added what is being looked for.
        staleTime: 0,
        retry: false,
    });
}

export function previewQuery(terms: string, documentDate: string) {
    return queryOptions({
        queryKey: ['preview', terms, documentDate],
        queryFn: () => ask(api.POST('/api/terms/preview', { body: { terms, documentDate } })),
        enabled: terms.trim() !== '',
        staleTime: Infinity,
    });
}
