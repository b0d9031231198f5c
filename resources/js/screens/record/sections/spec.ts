import type { Schemas } from '../../../api/client';

export type RecordData = Schemas['Record'];

export type Follow = Schemas['FollowInput'];

/** How a section of a record is read into a draft, and how the draft is saved. */
export interface SectionSpec<D> {
    name: string;
    title: (record: RecordData) => string;
    version: (record: RecordData) => number;
    draft: (record: RecordData) => D;
    /** Saves it; the documents that are to follow go with it, where it is asked. */
    put: (id: number, version: number, draft: D, follow?: Follow) => Promise<RecordData>;
    /** Which drafts and open documents carry what saving it would change; asked before it is saved. */
    touched?: (id: number, version: number, draft: D) => Promise<Schemas['TouchedDocuments']>;
}

/** A row of a list that is being edited: the key stays while rows come and go. */
export type Keyed<T> = T & { key: string };

let made = 0;

export function newKey(): string {
    made += 1;
    return `new-${made}`;
}

export function keyed<T extends { id: number | null }>(row: T): Keyed<T> {
    return { ...row, key: row.id === null ? newKey() : String(row.id) };
}

export function bare<T>(rows: Keyed<T>[]): T[] {
    return rows.map(({ key, ...row }) => row as T);
}
