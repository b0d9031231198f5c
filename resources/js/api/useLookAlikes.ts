import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, ask, type Schemas } from './client';

const PAUSE = 250;

/** Kept records that may be the same as what is being typed, once the typing pauses. */
export function useLookAlikes(entered: Schemas['LookAlikesInput']): Schemas['LookAlike'][] {
    const text = JSON.stringify(entered);
    const [asked, setAsked] = useState(text);
    useEffect(() => {
        const timer = setTimeout(() => setAsked(text), PAUSE);
        return () => clearTimeout(timer);
    }, [text]);

    const { data } = useQuery({
        queryKey: ['look-alikes', asked],
        queryFn: () => ask(api.POST('/api/look-alikes', { body: JSON.parse(asked) as Schemas['LookAlikesInput'] })),
        placeholderData: keepPreviousData,
        retry: false,
    });
    return data ?? [];
}
