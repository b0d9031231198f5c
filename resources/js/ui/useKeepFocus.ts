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
            for (let at = event.target instanceof Element ? event.target : null; at !== null && at !== document.body; at = at.parentElement) {
                path.push(at);
            }
        };
        const keep = () => {
            const [last, ...around] = path;
            if (document.activeElement !== document.body || last === undefined || last.isConnected) {
                return;
            }
            const home = around.find((place) => place.isConnected && (place.matches('[data-section], main, [role=dialog], [role=alertdialog], form, [role=group]')));
            const target = home?.matches('main') === true ? home : home?.querySelector<HTMLElement>(FOCUSABLE) ?? home;
            (target instanceof HTMLElement ? target : document.getElementById('sheet'))?.focus({ preventScroll: true });
        };
        const observer = new MutationObserver(() => requestAnimationFrame(keep));
        observer.observe(document.body, { childList: true, subtree: true });
        document.addEventListener('focusin', remember);
        return () => {
            observer.disconnect();
            document.removeEventListener('focusin', remember);
        };
    }, []);
}
