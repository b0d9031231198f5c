import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Schemas } from './client';
import { findQuery, type FindScope } from './queries';

interface Finding {
    results: Schemas['FindResult'][];
    /** Cases and projects, where they are asked for. */
    engagements: Schemas['EngagementRow'][];
    /** What is shown answers an earlier text. */
    isBehind: boolean;
    /** Why there is no answer, when there is none. */
    failure: Error | null;
}

/** Records that answer a text, as it is being typed. */
export function useFind(typed: string, scope: FindScope = {}): Finding {
    const { data, error, isFetching } = useQuery({ ...findQuery(typed.trim(), scope), placeholderData: keepPreviousData });
    const isEmpty = typed.trim() === '';
    return {
        results: isEmpty ? [] : data?.results ?? [],
        engagements: isEmpty ? [] : data?.engagements ?? [],
        isBehind: !isEmpty && isFetching,
        failure: error,
    };
}
