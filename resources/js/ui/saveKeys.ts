import type { KeyboardEvent } from 'react';

/** Whether something happened in the form itself, and not in a dialog above it. */
export function isIn(event: { currentTarget: HTMLElement; target: EventTarget }): boolean {
    return event.target instanceof Node && event.currentTarget.contains(event.target);
}

/**
 * Takes Ctrl+Enter anywhere in a form, to save it; for onKeyDownCapture, so that it is heard before the field at hand
 * takes the key for its own.
 */
export function takesSaveKey(event: KeyboardEvent<HTMLFormElement>): boolean {
    const isSaveKey = isIn(event) && event.key === 'Enter' && (event.ctrlKey || event.metaKey);
    if (isSaveKey) {
        event.preventDefault();
        event.stopPropagation();
    }
    return isSaveKey;
}

/** Esc, when nothing of the form is open that it closes first: a list of suggestions, a dialog. */
export function isLeaveKey(event: KeyboardEvent<HTMLElement>): boolean {
    const { target } = event;
    const isOurs = target instanceof Element && event.currentTarget.contains(target);
    return isOurs && event.key === 'Escape' && !event.defaultPrevented && target.closest('[aria-expanded=true]') === null;
}
