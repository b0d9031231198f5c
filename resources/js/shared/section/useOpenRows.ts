import { useState } from 'react';

const FEW = 8;

/**
 * Of a long list that is edited, only some rows stand open: new ones, those with something wrong,
 * and those that were asked for. A short list stands open whole.
 */
export function useOpenRows(rows: readonly { key: string; id: number | null }[], problems: Record<string, string>, list: string) {
    const [asked, setAsked] = useState<readonly string[]>([]);
    const isOpen = (index: number) => {
        const row = rows[index];
        return row === undefined || rows.length <= FEW || row.id === null || asked.includes(row.key)
            || Object.keys(problems).some((field) => field.startsWith(`${list}.${index}.`));
    };
    return { isOpen, open: (key: string) => setAsked((keys) => [...keys, key]) };
}
