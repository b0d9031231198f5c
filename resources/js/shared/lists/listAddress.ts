import type { ListOf } from '../../api/queries';
import type { Schemas } from '../../api/client';

type SavedList = Schemas['SavedList'];

/** Where each list stands. */
export const PLACE_OF: Record<ListOf, string> = { parties: '/directory', documents: '/ledger', engagements: '/engagements' };

/** What belongs to every list; the rest of the address is what is chosen besides. */
const OWN = ['list', 'filter', 'sort', 'columns', 'view', 'by', 'period', 'page', 'archived', 'what'];

/** What is chosen besides a sentence, as it stands in the address. */
export function choicesOf(search: URLSearchParams): string {
    const choices = new URLSearchParams([...search].filter(([key, value]) => !OWN.includes(key) && value !== ''));
    choices.sort();
    return choices.toString();
}

/** Where a list under a name is opened. */
export function addressOf(of: ListOf, list: SavedList): string {
    const search = new URLSearchParams(list.choices);
    search.set('list', list.key);
    const view = list.view === 'table' || list.view === 'counted' ? '' : list.view;
    const own = { filter: list.sentence, sort: list.sort, columns: list.columns.join(','), view, by: list.countedBy, period: list.period };
    for (const [key, value] of Object.entries(own)) {
        if (value !== '') {
            search.set(key, value);
        }
    }
    return `${PLACE_OF[of]}${list.view === 'counted' ? '/counted' : ''}?${search.toString()}`;
}

/** Whether what the address asks for is the list as it is kept. */
export function isAsKept(list: SavedList, search: URLSearchParams): boolean {
    const is = (key: string, kept: string) => (search.get(key) ?? '') === kept;
    return is('filter', list.sentence) && is('sort', list.sort) && is('columns', list.columns.join(','))
        && (list.view === 'counted' ? is('by', list.countedBy) && is('period', list.period) : is('view', list.view === 'table' ? '' : list.view))
        && choicesOf(search) === choicesOf(new URLSearchParams(list.choices));
}
