import { useRef, type RefObject } from 'react';
import { useShortcut } from './shortcuts';

/** j and k move over the names in a list; put what comes back on what holds it. */
export function useRowKeys<E extends HTMLElement>(): RefObject<E | null> {
    const list = useRef<E>(null);
    const move = (step: number) => {
        const links = [...list.current?.querySelectorAll<HTMLAnchorElement>('a.name') ?? []];
        const at = links.findIndex((link) => link === document.activeElement);
        links[at === -1 ? (step > 0 ? 0 : links.length - 1) : Math.min(links.length - 1, Math.max(0, at + step))]?.focus();
    };
    useShortcut('j', 'Next line of the list', () => move(1));
    useShortcut('k', 'Line before', () => move(-1));
    return list;
}
