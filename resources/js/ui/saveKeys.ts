import type { KeyboardEvent } from 'react';

/** Ctrl+Enter anywhere in a form saves it; it is heard before the field at hand takes the key for its own. */
export function onSaveKeys(save: () => Promise<void>) {
    return {
        onKeyDownCapture: (event: KeyboardEvent) => {
            if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
                event.preventDefault();
                event.stopPropagation();
                void save();
            }
        },
    };
}
