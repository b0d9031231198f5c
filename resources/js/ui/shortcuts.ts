import { createContext, useContext, useEffect, useRef } from 'react';

export interface Shortcut {
    /** A key, or two pressed one after the other: "e", "g d". */
    keys: string;
    /** What it does, for the list of keys. */
    does: string;
    run: () => void;
}

export interface ShortcutRegistry {
    add: (shortcut: Shortcut) => () => void;
    showList: () => void;
}

export const ShortcutContext = createContext<ShortcutRegistry>({ add: () => () => undefined, showList: () => undefined });

/** Makes a key do something while the component is on screen, and lists it under "?". */
export function useShortcut(keys: string, does: string, run: () => void): void {
    const registry = useContext(ShortcutContext);
    const latest = useRef(run);
    useEffect(() => {
        latest.current = run;
    });
    useEffect(() => registry.add({ keys, does, run: () => latest.current() }), [registry, keys, does]);
}
