import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Schemas } from './client';
import { findQuery, type PartyKind } from './queries';

interface Finding {
    results: Schemas['FindResult'][];
    /** What is shown answers an earlier text. */
    isBehind: boolean;
    isUnanswered: boolean;
}

/** Records that answer a text, as it is being typed. */
export function useFind(typed: string, kind?: PartyKind): Finding {
    const { data, isError } = useQuery({ ...findQuery(typed, kind), placeholderData: keepPreviousData });
    const isBehind = typed.trim() !== '' && data?.typed !== typed && !isError;
    return { results: typed.trim() === '' ? [] : data?.results ?? [], isBehind, isUnanswered: isError };
}
