import { queryOptions, type QueryKey } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../client';
import { forget } from './cache';

/** What of the ledger is wanted, as it stands in the address of the page. */
export type LedgerWanted = Omit<Schemas['LedgerQuery'], 'page'>;

export function documentsQuery(wanted: LedgerWanted, page: number) {
    const queryKey: QueryKey = ['ledger', 'documents', wanted, page];
    return queryOptions({
        queryKey,
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
        queryKey: ['ledger', 'document', id],
        queryFn: () => ask(api.GET('/api/documents/{document}', { params: { path: { document: id } } })),
        staleTime: 0,
    });
}

export function paymentQuery(id: number) {
    return queryOptions({
        queryKey: ['ledger', 'payment', id],
        queryFn: () => ask(api.GET('/api/payments/{payment}', { params: { path: { payment: id } } })),
        staleTime: 0,
    });
}

/** What a new document begins with, for a case or a project where it is for one. */
export function documentDefaultsQuery(id: number, kind: string, engagementId: number | null = null) {
    return queryOptions({
        queryKey: ['ledger', 'defaults', id, kind, engagementId],
        queryFn: () => ask(api.GET('/api/parties/{id}/document-defaults', {
            params: { path: { id }, query: { kind, ...(engagementId === null ? {} : { engagementId }) } },
        })),
        staleTime: 0,
    });
}

export function paymentPreviewQuery(id: number, body: Schemas['PaymentPreviewInput']) {
    return queryOptions({
        queryKey: ['ledger', 'payment-preview', id, body],
        queryFn: ({ signal }) => ask(api.POST('/api/parties/{id}/payment-preview', { params: { path: { id } }, body, signal })),
        staleTime: 0,
        retry: false,
    });
}

export function statementQuery(id: number, query: { side: string; currency: string; from: string; to: string }) {
    return queryOptions({
        queryKey: ['ledger', 'statement', id, query],
        queryFn: () => ask(api.GET('/api/parties/{id}/statement', { params: { path: { id }, query } })),
        staleTime: 0,
        retry: false,
    });
}

export function taxReportQuery(year: number | undefined) {
    return queryOptions({
        queryKey: ['ledger', 'tax-report', year],
        queryFn: () => ask(api.GET('/api/tax-report', { params: { query: year === undefined ? {} : { year } } })),
        staleTime: 0,
    });
}

const SECOND = 1000;

/** What is made for me behind the screen; asked for again every second while it runs. */
export const jobsQuery = queryOptions({
    queryKey: ['ledger', 'jobs'],
    queryFn: () => ask(api.GET('/api/jobs')),
    refetchInterval: ({ state }) => (state.data?.some((job) => job.state === 'running') === true ? SECOND : false),
    staleTime: 0,
});

/** After documents or money of a record have changed: everything that tells of them. */
export function forgetLedger(): void {
    void forget(['ledger'], ['engagements'], ['records'], ['finding'], ['today'], ['due'], ['upkeep'], ['meetings']);
}
