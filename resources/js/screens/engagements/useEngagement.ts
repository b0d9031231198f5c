import { api, ask, type Schemas } from '../../api/client';
import { engagementQuery, forget, keepEngagement, readEngagementAnew, type EngagementData } from '../../api/queries';
import { useSession } from '../../api/session';
import { undoOfEngagement } from '../../api/subjects';
import type { LogOf } from '../../shared/log/log';
import type { SectionSpec as Spec, Subject } from '../../shared/section/spec';
import { useSubjectAction } from '../../shared/useSubjectAction';
import { useSectionOf, type Options, type SectionEdit } from '../../shared/section/useSection';

/** What the parts of the page of a case or a project are given. */
export interface PageProps {
    engagement: EngagementData;
    kind: Schemas['EngagementKind'];
}

export type SectionSpec<D> = Spec<D, EngagementData>;

const engagementSubject: Subject<EngagementData> = {
    id: ({ row }) => row.id,
    isArchived: ({ archive }) => archive !== null,
    documents: () => 0,
    keep: keepEngagement,
    undo: undoOfEngagement,
    read: readEngagementAnew,
    forget: (id) => forget(engagementQuery(id).queryKey),
};

/** Editing one section of a case or a project. */
export function useEngagementSection<D>(engagement: EngagementData, spec: SectionSpec<D>, options?: Options<D>): SectionEdit<D> {
    return useSectionOf(engagementSubject, engagement, spec, options);
}

export function useMayEdit(engagement: EngagementData): boolean {
    const { mayChangeRecords } = useSession();
    return mayChangeRecords && engagement.archive === null;
}

/** The log of it. */
export function useEngagementLog(engagement: EngagementData): LogOf {
    const act = useSubjectAction();
    const mayEdit = useMayEdit(engagement);
    const { id } = engagement.row;
    const path = { engagement: id };
    return {
        mayEdit,
        hasPeople: false,
        pastHref: `/engagements/${id}/as-of`,
        queryKey: ['engagements', 'stream', id],
        read: ({ show }, before) =>
            ask(
                api.GET('/api/engagements/{engagement}/stream', {
                    params: { path, query: { show, ...(before === undefined ? {} : { before }) } },
                }),
            ),
        write: (body) => act(() => ask(api.POST('/api/engagements/{engagement}/entries', { params: { path }, body }))),
        pin: (logEntry, isPinned) =>
            act(() =>
                ask(
                    api.PUT('/api/engagements/{engagement}/entries/{logEntry}', {
                        params: { path: { ...path, logEntry } },
                        body: { isPinned },
                    }),
                ),
            ),
        remove: (logEntry) =>
            act(() => ask(api.DELETE('/api/engagements/{engagement}/entries/{logEntry}', { params: { path: { ...path, logEntry } } }))),
    };
}
