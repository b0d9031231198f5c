import { createContext } from 'react';

/** Which sections of the page hold something that is not saved. */
export interface Edits {
    report: (section: string, isDirty: boolean) => void;
}

export const EditsContext = createContext<Edits>({ report: () => undefined });
