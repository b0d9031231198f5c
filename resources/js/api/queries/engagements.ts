import { queryOptions, type QueryKey } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../client';
import { forgetBut, keepAnswer, queryClient } from './cache';
import { keepRecord } from './records';

export type EngagementData = Schemas['Engagement'];

/** What is asked of the list, as it stands in the address. */
export interface EngagementsWanted {
    kindId?: string;
    stageId?: string;
    state?: string;
    roleId?: string;
    partyId?: string;
    ownerId?: string;
    from?: string;
    to?: string;
    q?: string;
    filter?: string;
    sort?: string;
    columns?: string;
}

export const engagementKindsQuery = queryOptions({
    queryKey: ['engagement-kinds'],
    queryFn: () => ask(api.GET('/api/engagement-kinds')),
    staleTime: 300_000,
});

export function engagementsQuery(wanted: EngagementsWanted, page: number) {
    const queryKey: QueryKey = ['engagements', 'list', wanted, page];
    return queryOptions({
        queryKey,
        queryFn: () => {
            const { kindId, stageId, roleId, partyId, ownerId, ...words } = wanted;
            const numbers = Object.fromEntries(
                Object.entries({ kindId, stageId, roleId, partyId, ownerId })
                    .filter(([, value]) => value !== undefined)
                    .map(([key, value]) => [key, Number(value)]),
            );
            return ask(api.GET('/api/engagements', { params: { query: { page, ...words, ...numbers } } }));
        },
    });
}

export function engagementQuery(id: number) {
    return queryOptions({
        queryKey: ['engagements', 'one', id],
        queryFn: () => ask(api.GET('/api/engagements/{engagement}', { params: { path: { engagement: id } } })),
    });
}

export function engagementsOfRecordQuery(partyId: number) {
    return queryOptions({
        queryKey: ['engagements', 'of-record', partyId],
        queryFn: () => ask(api.GET('/api/parties/{id}/engagements', { params: { path: { id: partyId } } })),
    });
}

export function readEngagementAnew(id: number): Promise<EngagementData> {
    return queryClient.fetchQuery({ ...engagementQuery(id), staleTime: 0 });
}

/** A record, a case or a project, whichever a change has answered. */
export function keepSubject(subject: Schemas['Record'] | EngagementData): void {
    if ('row' in subject) {
        keepEngagement(subject);
    } else {
        keepRecord(subject);
    }
}

/** A case or a project as a change of it has answered it; lists and others may show some of it. */
export function keepEngagement(engagement: EngagementData): void {
    const { queryKey } = engagementQuery(engagement.row.id);
    keepAnswer(queryKey, engagement);
    void forgetBut(queryKey, ['engagements'], ['ledger'], ['today']);
}
