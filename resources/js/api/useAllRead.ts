import { useQueries, type QueriesOptions } from '@tanstack/react-query';

/**
 * Whether all that a screen is made of has been read. What comes from several answers is shown once they are all
 * there: a part that came later would push what stands below it away from under the pointer, and a press would be lost.
 */
export function useAllRead<const T extends unknown[]>(...queries: readonly [...QueriesOptions<T>]) {
    const answers = useQueries({ queries });
    return {
        isRead: answers.every(({ data }) => data !== undefined),
        error: answers.find(({ data, error }) => data === undefined && error !== null)?.error ?? null,
        retry: () => answers.filter(({ isError }) => isError).forEach(({ refetch }) => void refetch()),
    };
}
