import { keepRecord } from '../../api/queries';
import { Refused } from '../../api/client';
import { useEnsureSignedIn } from '../../api/signIn';
import type { RecordData } from './sections/spec';

/** Does something to a record, signs in again on the way when that is needed, and keeps what comes back. */
export function useRecordAction() {
    const ensureSignedIn = useEnsureSignedIn();

    return async function act(call: () => Promise<RecordData>): Promise<void> {
        try {
            keepRecord(await call());
        } catch (error) {
            if (error instanceof Refused && error.isSignedOut && await ensureSignedIn()) {
                return act(call);
            }
            throw error;
        }
    };
}
