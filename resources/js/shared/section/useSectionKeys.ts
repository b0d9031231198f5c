import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { useShortcut } from '../../ui/shortcuts';

/** An address with a section in it, as in /records/7#addresses, opens there. */
export function useSectionInAddress() {
    const { hash } = useLocation();
    useEffect(() => {
        const section = hash === '' ? null : document.getElementById(hash.slice(1));
        section?.focus();
        section?.scrollIntoView({ block: 'start' });
    }, [hash]);
}

/** e edits the section at hand; j and k go to the next and the one before. */
export function useSectionKeys() {
    // By its id: a section that was just saved may be drawn anew while the key is pressed.
    const last = useRef('');
    const sections = () => [...document.querySelectorAll<HTMLElement>('[data-section]')];
    const atHand = () => document.activeElement?.closest<HTMLElement>('[data-section]')
        ?? sections().find(({ id }) => id === last.current);

    useEffect(() => {
        const remember = ({ target }: FocusEvent) => {
            const section = target instanceof Element ? target.closest('[data-section]') : null;
            if (section !== null) {
                last.current = section.id;
            }
        };
        document.addEventListener('focusin', remember);
        return () => document.removeEventListener('focusin', remember);
    }, []);

    const move = (step: number) => {
        const all = sections();
        const at = all.findIndex((section) => section === atHand());
        const next = all[at === -1 ? (step > 0 ? 0 : all.length - 1) : Math.min(all.length - 1, Math.max(0, at + step))];
        if (next !== undefined) {
            next.focus();
            next.scrollIntoView({ block: 'nearest' });
        }
    };
    useShortcut('e', 'Edit the section at hand', () => {
        const section = atHand() ?? sections()[0];
        section?.querySelector<HTMLElement>('[data-edit]')?.click();
    });
    useShortcut('j', 'Next section', () => move(1));
    useShortcut('k', 'Section before', () => move(-1));
}
