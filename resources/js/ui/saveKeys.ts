import type { KeyboardEvent } from 'react';

/** Ctrl+Enter, in the form itself and not in a dialog above it. */
export function isSaveKey(event: KeyboardEvent<HTMLFormElement>): boolean {
    const isOurs = event.target instanceof Node && event.currentTarget.contains(event.target);
    return isOurs && event.key === 'Enter' && (event.ctrlKey || event.metaKey);
}

/** Esc, when nothing of the form is open that it closes first: a list of suggestions, a dialog. */
export function isLeaveKey(event: KeyboardEvent<HTMLElement>): boolean {
    const { target } = event;
    const isOurs = target instanceof Element && event.currentTarget.contains(target);
    return isOurs && event.key === 'Escape' && !event.defaultPrevented && target.closest('[aria-expanded=true]') === null;
}

/** Ctrl+Enter anywhere in a form saves it; it is heard before the field at hand takes the key for its own. */
export function onSaveKeys(save: () => Promise<unknown>) {
    return {
        onKeyDownCapture: (event: KeyboardEvent<HTMLFormElement>) => {
            if (isSaveKey(event)) {
                event.preventDefault();
                event.stopPropagation();
                void save();
            }
        },
    };
}
