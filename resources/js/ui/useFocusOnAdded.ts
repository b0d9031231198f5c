import { useEffect, useRef, useState, type RefObject } from 'react';

/** In a list of fieldsets: when one was added, what it is comes next, so that its first button has the focus. */
export function useFocusOnAdded(): { list: RefObject<HTMLDivElement | null>; noteAdded: () => void } {
    const list = useRef<HTMLDivElement>(null);
    const [added, setAdded] = useState(0);
    useEffect(() => {
        if (added > 0) {
            [...(list.current?.querySelectorAll('fieldset') ?? [])].at(-1)?.querySelector('button')?.focus();
        }
    }, [added]);
    return { list, noteAdded: () => setAdded(added + 1) };
}
