import type { KeyboardEvent } from 'react';

/** Ctrl+Enter anywhere in a form saves it; it is heard before the field at hand takes the key for its own. */
export function onSaveKeys(save: (form: HTMLFormElement) => Promise<unknown>) {
    return {
        onKeyDownCapture: (event: KeyboardEvent<HTMLFormElement>) => {
            // What is typed in a dialog above the form is the dialog's.
            const isOurs = event.target instanceof Node && event.currentTarget.contains(event.target);
            if (isOurs && event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
                event.preventDefault();
                event.stopPropagation();
                void save(event.currentTarget);
            }
        },
    };
}
