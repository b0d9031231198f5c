import { useEffect } from 'react';

const FOCUSABLE = 'input:not([type=hidden]):not([disabled]), textarea:not([disabled]), button:not([disabled]), a[href], [tabindex="0"]';

/**
 * What had the keyboard and is gone leaves it to the nearest place that is still there: the row before it, its
 * section, its page. It never falls to the page's body, where the next key would do nothing.
 */
export function useKeepFocus(): void {
    useEffect(() => {
        let path: Element[] = [];
        const remember = (event: FocusEvent) => {
            path = [];
            for (
                let at = event.target instanceof Element ? event.target : null;
                at !== null && at !== document.body;
                at = at.parentElement
            ) {
                path.push(at);
            }
        };
        const isLost = () => document.activeElement === document.body && path[0]?.isConnected === false;
        const keep = () => {
            if (!isLost()) {
                return;
            }
            const around = path.slice(1);
            const home = around.find(
                (place) =>
                    place.isConnected && place.matches('[data-section], main, [role=dialog], [role=alertdialog], form, [role=group]'),
            );
            // What opened it, where that is there again.
            const target =
                home?.matches('main') === true
                    ? home
                    : (home?.querySelector<HTMLElement>('[data-edit]') ?? home?.querySelector<HTMLElement>(FOCUSABLE) ?? home);
            (target instanceof HTMLElement ? target : document.getElementById('sheet'))?.focus({ preventScroll: true });
        };
        // A row that goes leaves the keyboard at once, before the next key comes. What closes as a whole (a list, a
        // dialog) gives it back itself, in the frame after it went: only what is still lost then is kept here, or the
        // two would race for it.
        const keepInTime = () => {
            if (!isLost()) {
                return;
            }
            if (path.some((place) => place.isConnected)) {
                keep();
            } else {
                requestAnimationFrame(() => requestAnimationFrame(keep));
            }
        };
        const observer = new MutationObserver(keepInTime);
        observer.observe(document.body, { childList: true, subtree: true });
        document.addEventListener('focusin', remember);
        return () => {
            observer.disconnect();
            document.removeEventListener('focusin', remember);
        };
    }, []);
}
