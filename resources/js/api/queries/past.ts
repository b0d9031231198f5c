import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../client';
import { areaOf, type SubjectKind } from '../subjects';

/** What a record, a case or a project was on a day, as it is typed, beside another. */
export function asOfQuery(kind: SubjectKind, id: number, day: string, other: string) {
    const query = { ...(day === '' ? {} : { day }), ...(other === '' ? {} : { other }) };
    return queryOptions({
        // Whatever is saved may be in it: it is forgotten with what it is of.
        queryKey: [areaOf(kind), 'as-of', id, day, other],
        queryFn: () => kind === 'party'
            ? ask(api.GET('/api/parties/{id}/as-of', { params: { path: { id }, query } }))
            : ask(api.GET('/api/engagements/{engagement}/as-of', { params: { path: { engagement: id }, query } })),
        retry: false,
        staleTime: 0,
    });
}
