import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { api, ask, Refused, type Schemas } from '../client';
import { forgetBut, keepAnswer } from './cache';

export type PartyKind = 'person' | 'company';

/** Whether the error says that the record is not there. */
export function isMissing(error: unknown): boolean {
    return error instanceof Refused && error.problem.status === 404;
}

export function recordQuery(id: number) {
    return queryOptions({
        queryKey: ['records', 'record', id],
        queryFn: () => ask(api.GET('/api/parties/{id}', { params: { path: { id } } })),
    });
}

/** Who is likely to be related: at the same address, or of the same family name. */
export function likelyRelationsQuery(id: number) {
    return queryOptions({
        queryKey: ['records', 'likely-relations', id],
        queryFn: () => ask(api.GET('/api/parties/{id}/likely-relations', { params: { path: { id } } })),
        staleTime: 0,
    });
}

/** Addresses in the book that begin as what is typed does. */
export function knownAddressesQuery(typed: string, country: string, exceptId: number) {
    return queryOptions({
        queryKey: ['records', 'known', 'addresses', typed, country, exceptId],
        queryFn: () => ask(api.GET('/api/known/addresses', { params: { query: { typed, country, exceptId } } })),
        enabled: typed !== '',
        placeholderData: keepPreviousData,
        retry: false,
    });
}

/** Who has the phone or the email that is typed. */
export function holdersQuery(kind: 'phone' | 'email', typed: string, exceptId: number) {
    return queryOptions({
        queryKey: ['records', 'known', kind, typed, exceptId],
        queryFn: () =>
            ask(api.GET(kind === 'phone' ? '/api/known/phones' : '/api/known/emails', { params: { query: { typed, exceptId } } })),
        enabled: typed !== '',
        retry: false,
    });
}

export interface FindScope {
    kind?: PartyKind;
    /** False leaves archived records out. */
    archived?: boolean;
    /** Cases and projects too. */
    engagements?: boolean;
}

export function findQuery(q: string, scope: FindScope) {
    return queryOptions({
        queryKey: ['finding', q, scope],
        queryFn: () => ask(api.GET('/api/find', { params: { query: { q, ...scope } } })),
        enabled: q !== '',
        // Somebody may just have added what is being looked for.
        staleTime: 0,
        retry: false,
    });
}

/** After a record has changed: lists, answers and other records may show some of it. */
export function forgetLists(exceptRecord: number): void {
    void forgetBut(recordQuery(exceptRecord).queryKey, ['records'], ['finding'], ['today'], ['upkeep']);
}

/** A record as a change of it has answered it. */
export function keepRecord(record: Schemas['Record']): void {
    keepAnswer(recordQuery(record.party.id).queryKey, record);
    forgetLists(record.party.id);
}
