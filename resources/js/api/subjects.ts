import { api, ask, type Schemas } from './client';

/** A record, or a case or a project. */
export type SubjectKind = Schemas['SubjectLink']['kind'];

/** Where all of that kind stand: in the address, and among what is kept of the server's answers. */
export function areaOf(kind: SubjectKind): 'records' | 'engagements' {
    return kind === 'party' ? 'records' : 'engagements';
}

export function pathOf(kind: SubjectKind, id: number): string {
    return `/${areaOf(kind)}/${id}`;
}

/** Takes the last save of a section of a record back. */
export function undoOfRecord(id: number, section: string, version: number, follow?: Schemas['FollowInput']): Promise<Schemas['Record']> {
    return ask(api.POST('/api/parties/{id}/sections/{section}/undo', { params: { path: { id, section } }, body: { version, follow } }));
}

/** Takes the last save of a section of a case or a project back. */
export function undoOfEngagement(engagement: number, section: string, version: number): Promise<Schemas['Engagement']> {
    return ask(api.POST('/api/engagements/{engagement}/sections/{section}/undo', {
        params: { path: { engagement, section } }, body: { version },
    }));
}
