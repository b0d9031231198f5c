import { useId, useSyncExternalStore } from 'react';

/** How many writes are under way, and the button whose press began them: it is busy until they are done. */
let count = 0;
let lastPressed: string | undefined;
let busy: string | undefined;
const listeners = new Set<() => void>();

function change(by: number) {
    count += by;
    busy = count === 0 ? undefined : busy ?? lastPressed;
    listeners.forEach((listener) => listener());
}

/** Says that a write is under way for as long as the work takes. */
export async function working<T>(work: () => Promise<T>): Promise<T> {
    change(1);
    try {
        return await work();
    } finally {
        change(-1);
    }
}

function subscribe(listener: () => void) {
    listeners.add(listener);
    return () => {
        listeners.delete(listener);
    };
}

/** For a button: whether what its press began is still under way, and what to call when it is pressed. */
export function useBusy() {
    const id = useId();
    const isBusy = useSyncExternalStore(subscribe, () => busy === id);
    return {
        isBusy,
        press: () => {
            lastPressed = id;
        },
    };
}
