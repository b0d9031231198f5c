import type { Schemas } from '../../api/client';

export type Follow = Schemas['FollowInput'];

/** How a section of a page is read into a draft, and how the draft is saved. */
export interface SectionSpec<D, R> {
    name: string;
    title: (record: R) => string;
    version: (record: R) => number;
    draft: (record: R) => D;
    /** Saves it; the documents that are to follow go with it, where it is asked. */
    put: (id: number, version: number, draft: D, follow?: Follow) => Promise<R>;
    /** Which drafts and open documents carry what saving it would change; asked before it is saved. */
    touched?: (id: number, version: number, draft: D) => Promise<Schemas['TouchedDocuments']>;
}

/** What the sections belong to: a record, a case or a project. */
export interface Subject<R> {
    id: (record: R) => number;
    isArchived: (record: R) => boolean;
    /** How many documents may carry what is changed. */
    documents: (record: R) => number;
    keep: (record: R) => void;
    undo: (id: number, section: string, version: number, follow?: Follow) => Promise<R>;
    /** As it is kept now. */
    read: (id: number) => Promise<R>;
    forget: (id: number) => Promise<void>;
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
