import type { KeyboardEvent } from 'react';

/** Ctrl+Enter, in the form itself and not in a dialog above it. */
export function isSaveKey(event: KeyboardEvent<HTMLFormElement>): boolean {
    const isOurs = event.target instanceof Node && event.currentTarget.contains(event.target);
    return isOurs && event.key === 'Enter' && (event.ctrlKey || event.metaKey);
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
