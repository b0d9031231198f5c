import { Refused, type Schemas } from '../api/client';
import { keepSubject } from '../api/queries';
import { useEnsureSignedIn } from '../api/signIn';

/** Does something to a record, a case or a project, signs in again on the way when that is needed, and keeps what comes back. */
export function useSubjectAction() {
    const ensureSignedIn = useEnsureSignedIn();

    return async function act(call: () => Promise<Schemas['Record'] | Schemas['Engagement']>): Promise<void> {
        try {
            keepSubject(await call());
        } catch (error) {
            if (error instanceof Refused && error.isSignedOut && (await ensureSignedIn())) {
                return act(call);
            }
            throw error;
        }
    };
}
