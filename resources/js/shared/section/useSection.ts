import { useState } from 'react';
import { Refused, type Schemas } from '../../api/client';
import { useSession } from '../../api/session';
import { useEnsureSignedIn } from '../../api/signIn';
import { useSay } from '../../ui/StatusLine';
import { useUnsaved } from '../../ui/unsaved';
import { merge } from './merge';
import type { Follow, SectionSpec, Subject } from './spec';

interface Editing<D> {
    draft: D;
    /** What the draft was when editing began. */
    start: string;
    version: number;
}

export interface SectionEdit<D> {
    name: string;
    title: string;
    mayEdit: boolean;
    /** Undefined while the section is only read. */
    draft: D | undefined;
    isDirty: boolean;
    isBusy: boolean;
    failure: Error | undefined;
    /** Documents that carry what is about to change: what of them is to follow is asked before it is saved. */
    touched: Schemas['TouchedDocuments'] | undefined;
    /** Saves after that was answered: with which documents follow; undefined goes on editing. */
    answerTouched: (documentIds: number[] | undefined, withTerms: boolean) => Promise<void>;
    /** What the server says is wrong, by field. */
    problems: Record<string, string>;
    begin: () => void;
    /** Begins with something changed already. */
    beginWith: (change: (draft: D) => D) => void;
    change: (draft: D) => void;
    leave: () => void;
    save: () => Promise<void>;
    /** After somebody else has saved too: saves what was changed here, and keeps what they changed. */
    saveMine: () => Promise<void>;
    takeTheirs: () => Promise<void>;
}

export interface Options<D> {
    /** What editing begins with, when that is more than what is kept: blank rows to fill in. */
    starter?: (draft: D) => D;
    /** What is left out of a draft before it is sent. */
    tidy?: (draft: D) => D;
    startsOpen?: boolean;
}

function beginning<D, R>(record: R, spec: SectionSpec<D, R>, starter: ((draft: D) => D) | undefined): Editing<D> {
    const kept = spec.draft(record);
    const draft = starter === undefined ? kept : starter(kept);
    return { draft, start: JSON.stringify(draft), version: spec.version(record) };
}

/** Editing one section of a page: its draft, saving it, and everything that can go wrong on the way. */
export function useSectionOf<D, R>(subject: Subject<R>, record: R, spec: SectionSpec<D, R>, options: Options<D> = {}): SectionEdit<D> {
    const { starter, tidy, startsOpen = false } = options;
    const { mayChangeRecords } = useSession();
    const say = useSay();
    const ensureSignedIn = useEnsureSignedIn();
    const [editing, setEditing] = useState(() => startsOpen ? beginning(record, spec, starter) : undefined);
    const [isBusy, setBusy] = useState(false);
    const [failure, setFailure] = useState<Error>();
    const [touched, setTouched] = useState<Schemas['TouchedDocuments']>();
    const id = subject.id(record);
    const title = spec.title(record);
    const isDirty = editing !== undefined && JSON.stringify(editing.draft) !== editing.start;

    useUnsaved(isDirty);

    const close = () => {
        setEditing(undefined);
        setFailure(undefined);
    };

    const undo = async (version: number, follow?: Follow) => {
        try {
            subject.keep(await subject.undo(id, spec.name, version, follow));
            say(`${title}: as it was before.`);
        } catch (error) {
            say(error instanceof Refused && error.isStale
                ? `${title} has been saved by somebody else since; nothing was undone.`
                : `Not undone. ${(error as Error).message}`);
        }
    };

    const attempt = async (draft: D, version: number, follow?: Follow): Promise<void> => {
        try {
            if (follow === undefined && spec.touched !== undefined && subject.documents(record) > 0) {
                const found = await spec.touched(id, version, draft);
                if (found.documents.length > 0) {
                    setTouched(found);
                    return;
                }
            }
            const saved = await spec.put(id, version, draft, follow);
            subject.keep(saved);
            close();
            const made = spec.version(saved);
            if (made > version) {
                say(`${title} saved.`, () => void undo(made, follow));
            } else {
                say(`${title} saved.`);
            }
        } catch (error) {
            if (error instanceof Refused && error.isSignedOut && await ensureSignedIn()) {
                return attempt(draft, version, follow);
            }
            setFailure(error as Error);
        }
    };

    const answerTouched = async (documentIds: number[] | undefined, withTerms: boolean) => {
        setTouched(undefined);
        if (documentIds !== undefined && editing !== undefined) {
            setBusy(true);
            await attempt(editing.draft, editing.version, { documentIds, withTerms });
            setBusy(false);
        }
    };

    const save = async () => {
        if (editing === undefined || isBusy) {
            return;
        }
        const draft = tidy === undefined ? editing.draft : tidy(editing.draft);
        setEditing({ ...editing, draft });
        setBusy(true);
        setFailure(undefined);
        // Undo must not stand there for something else when the answer comes.
        say();
        await attempt(draft, editing.version);
        setBusy(false);
    };

    /** Mine goes over theirs only where both have changed the same. */
    const saveMine = async () => {
        if (editing === undefined || isBusy) {
            return;
        }
        const theirs = await subject.read(id);
        const draft = merge(JSON.parse(editing.start) as D, editing.draft, spec.draft(theirs));
        setEditing({ ...editing, draft, version: spec.version(theirs) });
        setBusy(true);
        setFailure(undefined);
        await attempt(tidy === undefined ? draft : tidy(draft), spec.version(theirs));
        setBusy(false);
    };

    return {
        name: spec.name,
        title,
        mayEdit: mayChangeRecords && !subject.isArchived(record),
        draft: editing?.draft,
        isDirty,
        isBusy,
        failure,
        touched,
        answerTouched,
        problems: failure instanceof Refused ? failure.fields : {},
        begin: () => setEditing(beginning(record, spec, starter)),
        beginWith: (change) => {
            const editing = beginning(record, spec, starter);
            setEditing({ ...editing, draft: change(editing.draft) });
        },
        change: (draft) => editing !== undefined && setEditing({ ...editing, draft }),
        leave: close,
        save,
        saveMine,
        takeTheirs: async () => {
            close();
            await subject.forget(id);
        },
    };
}
