import { useQueryClient } from '@tanstack/react-query';
import { Refused } from '../../api/client';
import { forgetLists, recordQuery } from '../../api/queries';
import { useEnsureSignedIn } from '../../api/signIn';
import type { RecordData } from './sections';

/** Does something to a record, signs in again on the way when that is needed, and keeps what comes back. */
export function useRecordAction(id: number) {
    const client = useQueryClient();
    const ensureSignedIn = useEnsureSignedIn();

    return async function act(call: () => Promise<RecordData>): Promise<void> {
        try {
            client.setQueryData(recordQuery(id).queryKey, await call());
            forgetLists(id);
        } catch (error) {
            if (error instanceof Refused && error.isSignedOut && await ensureSignedIn()) {
                return act(call);
            }
            throw error;
        }
    };
}
