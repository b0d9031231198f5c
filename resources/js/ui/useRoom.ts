import { useLayoutEffect, useState, type RefObject } from 'react';

const LEAST_HEIGHT = 280;

/** What stands below a list on its page. */
const BELOW = 56;

/**
 * How much room there is: as wide as the element is, and as high as the window leaves it, in pixels.
 *
 * @param below what stands below it and is to be in sight too
 * @param again measured again when it changes
 */
export function useRoom(element: RefObject<Element | null>, below = 0, again: unknown = undefined) {
    const [room, setRoom] = useState({ width: 0, height: LEAST_HEIGHT });
    useLayoutEffect(() => {
        const measure = () => {
            const width = element.current?.clientWidth ?? 0;
            const top = (element.current?.getBoundingClientRect().top ?? 0) + window.scrollY;
            const height = Math.max(LEAST_HEIGHT, window.innerHeight - top - BELOW - below);
            setRoom((before) => before.width === width && before.height === height ? before : { width, height });
        };
        measure();
        const observer = new ResizeObserver(measure);
        observer.observe(document.body);
        return () => observer.disconnect();
    }, [element, below, again]);
    return room;
}
