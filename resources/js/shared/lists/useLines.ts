import { useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { useShortcut } from '../../ui/shortcuts';

/**
 * Which line of a list is at hand: the keys that move it, and how it is opened, so that what is opened knows its place.
 *
 * @param pathOf where the line leads; undefined where it has not come yet
 */
export function useLines(total: number, search: URLSearchParams, pathOf: (index: number) => string | undefined) {
    const location = useLocation();
    const navigate = useNavigate();
    const [kept, setActive] = useState(() => (location.state as { at?: number } | null)?.at ?? 0);
    const go = useRef<(index: number) => void>(undefined);
    const last = Math.max(0, total - 1);
    const list = search.toString();
    const isInList = () => document.activeElement?.closest('[role=gridcell], [role=grid] tbody') != null;
    useShortcut('j', 'Next line of the list', () => go.current?.(isInList() ? Math.min(last, kept + 1) : kept));
    useShortcut('k', 'Line before', () => go.current?.(isInList() ? Math.max(0, kept - 1) : kept));

    return {
        /** For a table or for cards. */
        lines: {
            total,
            active: Math.min(kept, last),
            onActive: setActive,
            onOpen: (index: number) => {
                const path = pathOf(index);
                if (path !== undefined) {
                    void navigate(path, { state: { list, at: index } });
                }
            },
            goTo: (to: (index: number) => void) => { go.current = to; },
        },
        isActive: (index: number) => index === kept,
        placeOf: (index: number) => ({ list, at: index }),
        isInList,
        go: (index: number) => go.current?.(index),
        /** Another list begins with its first line. */
        begin: () => setActive(0),
    };
}
