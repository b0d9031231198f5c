import { keepPreviousData, useQueries, useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Schemas } from '../../api/client';
import { directoryQuery, type WantedList } from '../../api/queries';

const PAGE = 100;

/** While the bar is drawn over thousands of lines, only where it rests is read. */
const REST = 60;

export interface Line {
    party: Schemas['PartyRow'];
    cells: string[];
}

/** The lines of a list as they come into sight, a page at a time. */
export function useDirectory(wanted: WantedList) {
    const [pages, setPages] = useState<number[]>([1]);
    const rest = useRef<ReturnType<typeof setTimeout>>(undefined);
    const first = useQuery({ ...directoryQuery(wanted, 1), placeholderData: keepPreviousData });
    const others = useQueries({ queries: pages.filter((page) => page !== 1).map((page) => directoryQuery(wanted, page)) });
    const read = new Map<number, Schemas['PartyPage']>();
    if (first.data !== undefined) {
        read.set(1, first.data);
    }
    for (const { data } of others) {
        if (data !== undefined) {
            read.set(data.page, data);
        }
    }

    const onRange = useCallback((from: number, to: number) => {
        const next: number[] = [];
        for (let page = Math.floor(from / PAGE) + 1; page <= Math.floor(to / PAGE) + 1; page++) {
            next.push(page);
        }
        clearTimeout(rest.current);
        rest.current = setTimeout(() => setPages((before) => before.join() === next.join() ? before : next), REST);
    }, []);
    useEffect(() => () => clearTimeout(rest.current), []);

    const lineAt = (index: number): Line | undefined => {
        const page = read.get(Math.floor(index / PAGE) + 1);
        const party = page?.rows[index % PAGE];
        const cells = page?.cells[index % PAGE];
        return party === undefined || cells === undefined ? undefined : { party, cells };
    };
    const overLimit = new Set([...read.values()].flatMap((page) => page.overLimit));

    return { page: first.data, error: first.error, isBehind: first.isPlaceholderData, refetch: first.refetch, lineAt, onRange, overLimit };
}
