import { useSearchParams } from 'react-router';

/**
 * The address as it is now, with some of it otherwise; what is empty goes. What is drawn may be one step behind it, and a
 * second choice would take the first one back.
 *
 * @param unset what else a choice is called that asks for nothing
 */
export function addressWith(part: Record<string, string>, unset = ''): URLSearchParams {
    const next = new URLSearchParams(window.location.search);
    for (const [key, value] of Object.entries(part)) {
        if (value === '' || value === unset) {
            next.delete(key);
        } else {
            next.set(key, value);
        }
    }
    return next;
}

/**
 * What is asked of a list, as it stands in the address, and its page.
 *
 * @param unset what a choice is called that asks for nothing
 * @param apart words of the address that are no part of it
 */
export function useWanted<W extends object>(unset: string, apart: string[] = []) {
    const [search, setSearch] = useSearchParams();
    const wanted = Object.fromEntries(
        [...search].filter(([key, value]) => key !== 'page' && !apart.includes(key) && value !== ''),
    ) as W;
    const page = Math.max(1, Number(search.get('page')) || 1);
    /** Asks for something else, from the first page on. */
    const set = (part: Record<string, string>) => {
        const next = addressWith(part, unset);
        next.delete('page');
        setSearch(next);
    };
    const go = (to: number) => setSearch({ ...Object.fromEntries(search), page: String(to) });
    return { search, wanted, page, set, go };
}
