import { api, ask } from '../../api/client';
import type { LogOf } from '../../shared/log/LogSection';
import type { RecordData } from './sections/spec';
import { useMayEdit } from './useMayEdit';
import { useSubjectAction } from '../../shared/useSubjectAction';

/** The log of a record. */
export function useRecordLog(record: RecordData): LogOf {
    const act = useSubjectAction();
    const mayEdit = useMayEdit(record);
    const { id } = record.party;
    return {
        id,
        mayEdit,
        pastHref: `/records/${id}/as-of`,
        queryKey: ['records', 'changes', id],
        read: (show, before) =>
            ask(api.GET('/api/parties/{id}/changes', {
                params: { path: { id }, query: { show, ...(before === undefined ? {} : { before }) } },
            })),
        write: (body) => act(() => ask(api.POST('/api/parties/{id}/entries', { params: { path: { id } }, body }))),
        pin: (logEntry, isPinned) =>
            act(() => ask(api.PUT('/api/parties/{id}/entries/{logEntry}', { params: { path: { id, logEntry } }, body: { isPinned } }))),
        remove: (logEntry) => act(() => ask(api.DELETE('/api/parties/{id}/entries/{logEntry}', { params: { path: { id, logEntry } } }))),
    };
}
