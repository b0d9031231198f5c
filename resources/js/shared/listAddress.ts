import type { Schemas } from '../api/client';

type SavedList = Schemas['SavedList'];

/** Where a list under a name is opened. */
export function addressOf(list: SavedList): string {
    const search = new URLSearchParams({ list: list.key });
    for (const [key, value] of Object.entries({ filter: list.sentence, sort: list.sort, columns: list.columns.join(',') })) {
        if (value !== '') {
            search.set(key, value);
        }
    }
    return `/directory?${search.toString()}`;
}

/** Whether what the address asks for is the list as it is kept. */
export function isAsKept(list: SavedList, search: URLSearchParams): boolean {
    return (search.get('filter') ?? '') === list.sentence && (search.get('sort') ?? '') === list.sort
        && (search.get('columns') ?? '') === list.columns.join(',');
}
