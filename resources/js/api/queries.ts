import { infiniteQueryOptions, QueryClient, queryOptions } from '@tanstack/react-query';
import { api, ask, Refused, Unreachable, type Schemas } from './client';

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

export type DirectorySort = 'name' | 'receivable' | 'payable' | 'overdue' | 'days-to-pay';

export function directoryQuery(page: number, archived: boolean, sort: DirectorySort = 'name', reversed = false) {
    return queryOptions({
        queryKey: ['directory', page, archived, sort, reversed],
        queryFn: () => ask(api.GET('/api/parties', { params: { query: { page, sort, ...(archived ? { archived } : {}), ...(reversed ? { reversed } : {}) } } })),
    });
}

export const booksQuery = queryOptions({
    queryKey: ['books'],
    queryFn: () => ask(api.GET('/api/books')),
    staleTime: 300_000,
});

/** What of the ledger is wanted, as it stands in the address of the page. */
export type LedgerWanted = Record<string, string>;

export function documentsQuery(wanted: LedgerWanted, page: number) {
    return queryOptions({
        queryKey: ['ledger', 'documents', wanted, page],
        queryFn: () => ask(api.GET('/api/documents', { params: { query: { ...wanted, page } } })),
        staleTime: 0,
    });
}

export function paymentsQuery(wanted: LedgerWanted, page: number) {
    return queryOptions({
        queryKey: ['ledger', 'payments', wanted, page],
        queryFn: () => ask(api.GET('/api/payments', { params: { query: { ...wanted, page } } })),
        staleTime: 0,
    });
}

export function documentQuery(id: number) {
    return queryOptions({
        queryKey: ['document', id],
        queryFn: () => ask(api.GET('/api/documents/{document}', { params: { path: { document: id } } })),
        staleTime: 0,
    });
}

export function paymentQuery(id: number) {
    return queryOptions({
        queryKey: ['payment', id],
        queryFn: () => ask(api.GET('/api/payments/{payment}', { params: { path: { payment: id } } })),
        staleTime: 0,
    });
}

export function documentDefaultsQuery(id: number, kind: string) {
    return queryOptions({
        queryKey: ['document-defaults', id, kind],
        queryFn: () => ask(api.GET('/api/parties/{id}/document-defaults', { params: { path: { id }, query: { kind } } })),
        staleTime: 0,
    });
}

export function paymentPreviewQuery(id: number, body: Schemas['PaymentPreviewInput']) {
    return queryOptions({
        queryKey: ['payment-preview', id, body],
        queryFn: ({ signal }) => ask(api.POST('/api/parties/{id}/payment-preview', { params: { path: { id } }, body, signal })),
        staleTime: 0,
        retry: false,
    });
}

export function statementQuery(id: number, query: { side: string; currency: string; from: string; to: string }) {
    return queryOptions({
        queryKey: ['statement', id, query],
        queryFn: () => ask(api.GET('/api/parties/{id}/statement', { params: { path: { id }, query } })),
        staleTime: 0,
        retry: false,
    });
}

export function taxReportQuery(year: number | undefined) {
    return queryOptions({
        queryKey: ['tax-report', year],
        queryFn: () => ask(api.GET('/api/tax-report', { params: { query: year === undefined ? {} : { year } } })),
        staleTime: 0,
    });
}

const SECOND = 1000;

/** Files that are read in; looked at again while work on one goes on. */
export const importsQuery = queryOptions({
    queryKey: ['imports'],
    queryFn: () => ask(api.GET('/api/imports')),
    staleTime: 0,
    refetchInterval: ({ state }) => state.data?.some((one) => !one.isStuck && (one.state === 'checking' || one.state === 'taking')) === true ? SECOND : false,
});

/** After documents or money of a record have changed: everything that tells of them. */
export function forgetLedger(): void {
    void queryClient.invalidateQueries({
        predicate: ({ queryKey: [what] }) => what !== 'session' && what !== 'choices' && what !== 'books' && what !== 'countries',
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
        queryFn: ({ signal }) => ask(api.POST('/api/terms/preview', { body: { terms, documentDate }, signal })),
        enabled: terms.trim() !== '',
        staleTime: Infinity,
    });
}

export const tokensQuery = queryOptions({ queryKey: ['tokens'], queryFn: () => ask(api.GET('/api/tokens')), staleTime: 0 });

export const actsQuery = infiniteQueryOptions({
    queryKey: ['acts'],
    queryFn: ({ pageParam }: { pageParam: number | null }) => ask(api.GET('/api/acts', { params: { query: pageParam === null ? {} : { before: pageParam } } })),
    initialPageParam: null as number | null,
    getNextPageParam: ({ before }) => before,
    staleTime: 0,
});
