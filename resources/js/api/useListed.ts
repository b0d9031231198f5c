import { useQuery } from '@tanstack/react-query';
import { choicesQuery } from './queries';

/** What one of the office's lists offers, with what is chosen already and offered no more. */
export function useListed(list: string, chosen: string[] = []): string[] {
    const { data } = useQuery(choicesQuery);
    const names = data?.lists.find((one) => one.list === list)?.names ?? [];
    return [...names, ...chosen.filter((name) => !names.includes(name))];
}
