import { useId, useSyncExternalStore } from 'react';

/** A write that a press began has begun by then, and so has the next of a chain; whatever begins later is somebody else's. */
const SOON = 100;

/** How many writes are under way, and the button whose press began them: it is busy until they are done. */
let count = 0;
let lastPressed: string | undefined;
let busy: string | undefined;
let forgetting: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();

/** A press that wrote nothing is forgotten, or the next write on the page would make its button deaf. */
function forgetSoon() {
    clearTimeout(forgetting);
    forgetting = setTimeout(() => {
        if (count === 0) {
            lastPressed = undefined;
        }
    }, SOON);
}

function change(by: number) {
    count += by;
    busy = count === 0 ? undefined : busy ?? lastPressed;
    if (count === 0) {
        forgetSoon();
    }
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
            forgetSoon();
        },
    };
}
