import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../client';

export const sessionQuery = queryOptions({
    queryKey: ['session'],
    queryFn: () => ask(api.GET('/api/session')),
    staleTime: Infinity,
});

export const secondFactorQuery = queryOptions({ queryKey: ['account', 'second-factor'], queryFn: () => ask(api.GET('/api/second-factor')), staleTime: 0 });

export const sessionsQuery = queryOptions({ queryKey: ['account', 'sessions'], queryFn: () => ask(api.GET('/api/sessions')), staleTime: 0 });

export const tokensQuery = queryOptions({ queryKey: ['office', 'tokens'], queryFn: () => ask(api.GET('/api/tokens')), staleTime: 0 });
