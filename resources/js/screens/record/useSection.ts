import { forget, keepRecord, queryClient, recordQuery } from '../../api/queries';
import { undoOfRecord } from '../../api/subjects';
import type { Subject } from '../../shared/section/spec';
import { useSectionOf, type Options, type SectionEdit } from '../../shared/section/useSection';
import type { RecordData, SectionSpec } from './sections/spec';
import { useSayEditing } from './useSayEditing';

const recordSubject: Subject<RecordData> = {
    id: ({ party }) => party.id,
    isArchived: ({ archive }) => archive !== null,
    documents: ({ documents }) => documents.live,
    keep: keepRecord,
    undo: undoOfRecord,
    read: (id) => queryClient.fetchQuery({ ...recordQuery(id), staleTime: 0 }),
    forget: (id) => forget(recordQuery(id).queryKey),
};

/** Editing one section of a record. */
export function useSection<D>(record: RecordData, spec: SectionSpec<D>, options?: Options<D>): SectionEdit<D> {
    const edit = useSectionOf(recordSubject, record, spec, options);
    useSayEditing(record.party.id, edit.draft !== undefined);
    return edit;
}
