import { type DataTag, hashKey, QueryClient, type QueryKey } from '@tanstack/react-query';
import { Unreachable } from '../client';

export const queryClient = new QueryClient({
    defaultOptions: {
        queries: {
            staleTime: 10_000,
            // The office's server may be on this very machine: whether there is a network says nothing.
            networkMode: 'always',
            refetchOnWindowFocus: false,
            retry: (failures, error) => error instanceof Unreachable && failures < 2,
        },
    },
});

/**
 * Everything under these keys is asked again by whoever shows it. What was asked before the change may still be on
 * its way, with what is no longer so: it is called off, or it would be kept as if it were new.
 */
export function forget(...areas: QueryKey[]): Promise<void> {
    return forgetBut(undefined, ...areas);
}

/** The same, but for what is known to hold. */
export async function forgetBut(known: QueryKey | undefined, ...areas: QueryKey[]): Promise<void> {
    const spared = known === undefined ? undefined : hashKey(known);
    await Promise.all(areas.map((queryKey) => {
        const filters = { queryKey, predicate: ({ queryHash }: { queryHash: string }) => queryHash !== spared };
        void queryClient.cancelQueries(filters);
        return queryClient.invalidateQueries(filters);
    }));
}

/** What a change has answered is what holds, whatever was asked before it. */
export function keepAnswer<T>(queryKey: DataTag<QueryKey, T, Error>, answer: T): void {
    void queryClient.cancelQueries({ queryKey, exact: true });
    queryClient.setQueryData(queryKey, answer);
}
