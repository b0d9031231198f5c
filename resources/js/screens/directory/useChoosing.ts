import { useRef, useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import type { WantedList } from '../../api/queries';
import { useSay } from '../../ui/StatusLine';
import type { Choosing } from '../../ui/LongTable';

/** What is chosen: some, or all of the list but for some. */
interface Chosen {
    isAll: boolean;
    ids: ReadonlySet<number>;
}

const NONE: Chosen = { isAll: false, ids: new Set() };

/** Chooses lines of a list of which only a part has been read; kept while one scrolls, gone when another list is asked for. */
export function useChoosing(wanted: WantedList, total: number, idOf: (index: number) => number | undefined) {
    const list = `${wanted.filter ?? ''}\n${wanted.archived ?? ''}`;
    const [kept, setKept] = useState<{ list: string; chosen: Chosen }>({ list, chosen: NONE });
    const chosen = kept.list === list ? kept.chosen : NONE;
    const last = useRef(0);
    const say = useSay();
    const set = (next: Chosen) => setKept({ list, chosen: next });
    const count = chosen.isAll ? Math.max(0, total - chosen.ids.size) : chosen.ids.size;

    const mark = (ids: readonly number[], isChosen: boolean) => {
        const next = new Set(chosen.ids);
        for (const id of ids) {
            if (isChosen === chosen.isAll) {
                next.delete(id);
            } else {
                next.add(id);
            }
        }
        set({ isAll: chosen.isAll, ids: next });
    };
    const has = (index: number) => {
        const id = idOf(index);
        return id !== undefined && chosen.ids.has(id) !== chosen.isAll;
    };
    const reach = async (index: number) => {
        const [from, to] = [Math.min(last.current, index), Math.max(last.current, index)];
        const read = Array.from({ length: to - from + 1 }, (_, at) => idOf(from + at));
        if (read.every((id) => id !== undefined)) {
            mark(read, true);
            return;
        }
        try {
            const { filter, sort, archived } = wanted;
            const { ids } = await ask(api.GET('/api/parties/ids', {
                params: {
                    query: {
                        from: from + 1,
                        most: to - from + 1,
                        ...(filter === undefined ? {} : { filter }),
                        ...(sort === undefined ? {} : { sort }),
                        ...(archived === undefined ? {} : { archived }),
                    },
                },
            }));
            mark(ids, true);
        } catch (error) {
            say(`They are not chosen. ${(error as Error).message}`);
        }
    };
    const choosing: Choosing = {
        has,
        isAll: count === total && total > 0,
        isSome: count > 0,
        toggle: (index) => {
            const id = idOf(index);
            if (id !== undefined) {
                last.current = index;
                mark([id], !has(index));
            }
        },
        reach: (index) => void reach(index),
        all: (isChosen) => set(isChosen ? { isAll: true, ids: new Set() } : NONE),
    };
    const input: Schemas['ChosenInput'] = {
        isAll: chosen.isAll,
        filter: wanted.filter ?? '',
        withArchived: wanted.archived === '1',
        ids: [...chosen.ids],
    };
    return { choosing, count, input, clear: () => set(NONE) };
}
