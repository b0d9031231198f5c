import { api, ask } from '../../api/client';
import { keepAnswer, sessionQuery } from '../../api/queries';
import { CodeForm } from './CodeForm';

/** The second half of signing in, after the password. */
export function SignInCode({ onDone, onCancel }: { onDone?: () => void; onCancel: () => void }) {
    return (
        <CodeForm
            button="Sign in"
            canRemember
            send={async (code, remembers) => {
                keepAnswer(sessionQuery.queryKey, await ask(api.POST('/api/session/code', { body: { code, remembers } })));
                onDone?.();
            }}
            onCancel={onCancel}
        />
    );
}
