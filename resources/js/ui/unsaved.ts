import { useEffect, useId, useSyncExternalStore } from 'react';

/** Which forms on the page hold something that is not saved. */
const dirty = new Set<string>();
const listeners = new Set<() => void>();
const saves = new Set<() => void>();
let saving = 0;

function tell() {
    listeners.forEach((listener) => listener());
}

function subscribe(listener: () => void) {
    listeners.add(listener);
    return () => {
        listeners.delete(listener);
    };
}

/** Whether leaving the page would lose something; not while it is being saved. */
export function holdsUnsaved(): boolean {
    return dirty.size > 0 && saving === 0;
}

export function useHoldsUnsaved(): boolean {
    return useSyncExternalStore(subscribe, () => dirty.size > 0);
}

/** For a form: says whether it holds something unsaved, for as long as it is there. */
export function useUnsaved(isDirty: boolean): void {
    const id = useId();
    useEffect(() => {
        if (isDirty) {
            dirty.add(id);
        } else {
            dirty.delete(id);
        }
        tell();
        return () => {
            dirty.delete(id);
            tell();
        };
    }, [id, isDirty]);
}

/** While the work runs, leaving the page is part of it. */
export async function whileSaving<T>(work: () => Promise<T>): Promise<T> {
    saving += 1;
    try {
        const result = await work();
        saves.forEach((listener) => listener());
        return result;
    } finally {
        saving -= 1;
    }
}

/** Hears that something was saved. */
export function onSaved(listener: () => void): () => void {
    saves.add(listener);
    return () => {
        saves.delete(listener);
    };
}
