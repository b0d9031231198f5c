import type { Schemas } from '../../api/client';
import type { CodeOf } from '../titles';

/** What of the history is shown. */
export interface Shown {
    show: CodeOf<'streamFilters'>;
    withPeople: boolean;
}

/** How the log of something is read and written. */
export interface LogOf {
    mayEdit: boolean;
    /** Whether people work there, whose history can stand among its own. */
    hasPeople: boolean;
    /** Where it is read as it was on a past day. */
    pastHref: string;
    /** Under which its stretches are kept. */
    queryKey: readonly unknown[];
    read: (shown: Shown, before: string | undefined) => Promise<Schemas['Stream']>;
    write: (entry: Schemas['LogEntryInput']) => Promise<void>;
    pin: (entryId: number, isPinned: boolean) => Promise<void>;
    remove: (entryId: number) => Promise<void>;
}
