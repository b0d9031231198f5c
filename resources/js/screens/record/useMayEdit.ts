import { useSession } from '../../api/session';
import type { RecordData } from './sections/spec';

/** Whether whoever is signed in may change the record as it is. */
export function useMayEdit(record: RecordData): boolean {
    const { mayChangeRecords } = useSession();
    return mayChangeRecords && record.archive === null;
}
