import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../client';

export const sessionQuery = queryOptions({
    queryKey: ['session'],
    queryFn: () => ask(api.GET('/api/session')),
    staleTime: Infinity,
});

export const tokensQuery = queryOptions({ queryKey: ['office', 'tokens'], queryFn: () => ask(api.GET('/api/tokens')), staleTime: 0 });
