import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, ask, type Schemas } from './client';
import { useQuiet } from './useQuiet';

/** Kept records that may be the same as what is being typed, once the typing pauses. */
export function useLookAlikes(entered: Schemas['LookAlikesInput']): Schemas['LookAlike'][] {
    const asked = useQuiet(entered);
    const { data } = useQuery({
        queryKey: ['records', 'look-alikes', asked],
        queryFn: () => ask(api.POST('/api/look-alikes', { body: asked })),
        placeholderData: keepPreviousData,
        retry: false,
    });
    return data ?? [];
}
