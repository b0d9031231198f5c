import { useEffect, useRef, useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { forgetList, type ListOf } from '../../api/queries';
import type { LongColumn, SortedBy } from '../../ui/LongHeading';
import { useSay } from '../../ui/StatusLine';

/** As a sort stands in the address: the keys, with a minus the other way round. */
function sortText(sort: SortedBy[]): string {
    return sort.map(({ key, isReversed }) => `${isReversed ? '-' : ''}${key}`).join(',');
}

/** How a list is sorted after a heading is pressed, as it stands in the address. */
export function sortedBy(sort: SortedBy[], key: string, isMore: boolean): string {
    const at = sort.findIndex((one) => one.key === key);
    const turned = { key, isReversed: at === -1 ? false : !(sort[at]?.isReversed ?? false) };
    const several = at === -1 ? [...sort, turned] : sort.map((one, n) => n === at ? turned : one);
    return sortText(isMore ? several : [turned]);
}

/**
 * Which columns somebody has, and how wide: drawn ones are kept a moment after they are let go.
 *
 * @param usual how wide a column is before somebody draws it otherwise
 */
export function useListLook(of: ListOf, columns: Schemas['Column'][], usual: Record<string, number>) {
    const [widths, setWidths] = useState<Record<string, number>>({});
    const kept = useRef<ReturnType<typeof setTimeout>>(undefined);
    const say = useSay();
    useEffect(() => () => clearTimeout(kept.current), []);

    const keep = async (keys: string[], wide = widths) => {
        const before = new Map(columns.map(({ key, width }) => [key, width]));
        try {
            await ask(api.PUT('/api/long-lists/{list}/look', {
                params: { path: { list: of } },
                body: { columns: keys.map((key) => ({ key, width: wide[key] ?? before.get(key) ?? null })) },
            }));
            await forgetList(of);
        } catch (error) {
            say(`The columns are not kept. ${(error as Error).message}`);
        }
    };
    const onWidth = (key: string, width: number) => {
        const next = { ...widths, [key]: width };
        setWidths(next);
        clearTimeout(kept.current);
        kept.current = setTimeout(() => void keep(columns.map((one) => one.key), next), 600);
    };
    const shown: LongColumn[] = columns.map((column) => ({
        ...column,
        width: widths[column.key] ?? column.width ?? usual[column.key]
            ?? Math.max(column.isFigure ? 98 : 140, column.title.length * 8 + 22),
    }));

    return { shown, onWidth, keep };
}
