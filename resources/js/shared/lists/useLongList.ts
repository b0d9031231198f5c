import { keepPreviousData, useQueries, useQuery, type UseQueryOptions } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';

/** While the bar is drawn over thousands of lines, only where it rests is read. */
const REST = 60;

/** So many lines before and after those in sight are read before they come there: a page up or down finds them. */
const AHEAD = 40;

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
    const before = useRef(0);
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

    const total = first.data?.total ?? 0;
    const onRange = useCallback((from: number, to: number) => {
        const next: number[] = [];
        const [begin, end] = [Math.max(0, from - AHEAD), Math.max(to, Math.min(to + AHEAD, total - 1))];
        for (let page = Math.floor(begin / size) + 1; page <= Math.floor(end / size) + 1; page++) {
            next.push(page);
        }
        const show = () => setPages((now) => now.join() === next.join() ? now : next);
        clearTimeout(rest.current);
        // A page up or down is no jump.
        if (Math.abs(from - before.current) <= AHEAD) {
            show();
        } else {
            rest.current = setTimeout(show, REST);
        }
        before.current = from;
    }, [size, total]);
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
