import { keepPreviousData, useQueries, useQuery, type UseQueryOptions } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';

/** While the bar is drawn over thousands of lines, only where it rests is read. */
const REST = 60;

interface AnyPage {
    page: number;
    total: number;
    rows: unknown[];
    cells: string[][];
}

export interface LongLine<Row> {
    row: Row;
    /** What stands in each of its columns. */
    cells: string[];
}

/**
 * The lines of a list as they come into sight, a page at a time.
 *
 * @param size how many lines a page has
 */
export function useLongList<Page extends AnyPage>(queryOf: (page: number) => UseQueryOptions<Page>, size: number) {
    const [pages, setPages] = useState<number[]>([1]);
    const rest = useRef<ReturnType<typeof setTimeout>>(undefined);
    const first = useQuery({ ...queryOf(1), placeholderData: keepPreviousData as never });
    const others = useQueries({ queries: pages.filter((page) => page !== 1).map((page) => queryOf(page)) });
    const read = new Map<number, Page>();
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
        for (let page = Math.floor(from / size) + 1; page <= Math.floor(to / size) + 1; page++) {
            next.push(page);
        }
        clearTimeout(rest.current);
        rest.current = setTimeout(() => setPages((before) => before.join() === next.join() ? before : next), REST);
    }, [size]);
    useEffect(() => () => clearTimeout(rest.current), []);

    const lineAt = (index: number): LongLine<Page['rows'][number]> | undefined => {
        const page = read.get(Math.floor(index / size) + 1);
        const row = page?.rows[index % size];
        const cells = page?.cells[index % size];
        return row === undefined || cells === undefined ? undefined : { row, cells };
    };

    return {
        page: first.data,
        /** All that have been read. */
        pages: [...read.values()],
        error: first.error,
        isBehind: first.isPlaceholderData,
        refetch: first.refetch,
        lineAt,
        onRange,
    };
}
