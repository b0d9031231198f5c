import type { ListOf } from '../../api/queries';

/** How many lines a page of each list has. */
export const SIZE_OF: Record<ListOf, number> = { parties: 100, documents: 50, engagements: 50 };

/** What of an address asks for lines; the rest says how they are looked at. */
export function askedOf(search: URLSearchParams): Record<string, string> {
    return Object.fromEntries([...search].filter(([key, value]) => value !== '' && !['list', 'page', 'what', 'view'].includes(key)));
}
