import { api, ask } from '../../api/client';
import type { LogOf } from '../../shared/log/log';
import type { RecordData } from './sections/spec';
import { useMayEdit } from './useMayEdit';
import { useSubjectAction } from '../../shared/useSubjectAction';

/** The log of a record. */
export function useRecordLog(record: RecordData): LogOf {
    const act = useSubjectAction();
    const mayEdit = useMayEdit(record);
    const { id } = record.party;
    return {
        mayEdit,
        hasPeople: record.party.kind === 'company',
        pastHref: `/records/${id}/as-of`,
        queryKey: ['records', 'stream', id],
        read: ({ show, withPeople }, before) =>
            ask(api.GET('/api/parties/{id}/stream', {
                params: { path: { id }, query: { show, ...(withPeople ? { withPeople: 'true' } : {}), ...(before === undefined ? {} : { before }) } },
            })),
        write: (body) => act(() => ask(api.POST('/api/parties/{id}/entries', { params: { path: { id } }, body }))),
        pin: (logEntry, isPinned) =>
            act(() => ask(api.PUT('/api/parties/{id}/entries/{logEntry}', { params: { path: { id, logEntry } }, body: { isPinned } }))),
        remove: (logEntry) => act(() => ask(api.DELETE('/api/parties/{id}/entries/{logEntry}', { params: { path: { id, logEntry } } }))),
    };
}
