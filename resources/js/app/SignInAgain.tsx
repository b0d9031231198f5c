import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState, type FormEvent, type ReactNode } from 'react';
import { api, ask, Refused } from '../api/client';
import { keepAnswer, sessionQuery } from '../api/queries';
import { SignInContext } from '../api/signIn';
import { SignInCode } from '../shared/access/SignInCode';
import { Button, MainButton } from '../ui/Button';
import { Dialog, DialogButtons } from '../ui/Dialog';
import { Field } from '../ui/Field';
import { Form } from '../ui/Form';
import { Notice } from '../ui/Text';

/** When a session has expired while somebody typed: sign in on the spot, and go on. */
export function SignInAgain({ children }: { children: ReactNode }) {
    const [isAsking, setAsking] = useState(false);
    const answer = useRef<(isSignedIn: boolean) => void>(undefined);
    const client = useQueryClient();

    const pending = useRef<Promise<boolean>>(undefined);

    const ensure = useMemo(() => {
        const ask = async () => {
            // The session may be there, and only the proof of the same site was too old.
            const session = await client.fetchQuery({ ...sessionQuery, staleTime: 0, queryKey: ['session', 'now'] });
            if (session.userName !== null) {
                return true;
            }
            setAsking(true);
            return new Promise<boolean>((resolve) => {
                answer.current = resolve;
            });
        };
        // Whoever finds out while it is being asked waits for the same answer.
        return () => pending.current ??= ask().catch(() => false).finally(() => {
            pending.current = undefined;
        });
    }, [client]);

    // Reading may find out first that the session is over: ask once, then read again what failed.
    const isReading = useRef(false);
    useEffect(() => client.getQueryCache().subscribe((event) => {
        const isSignedOut = event.type === 'updated' && event.action.type === 'error'
            && event.action.error instanceof Refused && event.action.error.isSignedOut;
        if (!isSignedOut || isReading.current) {
            return;
        }
        isReading.current = true;
        void ensure().then((isSignedIn) => {
            isReading.current = false;
            if (isSignedIn) {
                void client.refetchQueries({ predicate: ({ state }) => state.status === 'error' });
            }
        });
    }), [client, ensure]);

    const close = (isSignedIn: boolean) => {
        setAsking(false);
        answer.current?.(isSignedIn);
    };

    return (
        <SignInContext.Provider value={ensure}>
            {children}
            {isAsking && (
                <Dialog title="Sign in again" onClose={() => close(false)}>
                    <p>You were signed out after a while. Whatever you typed is kept; sign in to go on.</p>
                    <AgainForm onDone={() => close(true)} onCancel={() => close(false)} />
                </Dialog>
            )}
        </SignInContext.Provider>
    );
}

function AgainForm({ onDone, onCancel }: { onDone: () => void; onCancel: () => void }) {
    const [email, setEmail] = useState('');
    const [password, setPassword] = useState('');
    const [problem, setProblem] = useState<string>();
    const [needsCode, setNeedsCode] = useState(false);

    const submit = async (event: FormEvent) => {
        event.preventDefault();
        try {
            const session = await ask(api.POST('/api/session', { body: { email, password } }));
            if (session.needsCode) {
                setNeedsCode(true);
                return;
            }
            keepAnswer(sessionQuery.queryKey, session);
            onDone();
        } catch (error) {
            setProblem(error instanceof Refused ? Object.values(error.fields)[0] ?? error.message : (error as Error).message);
        }
    };

    if (needsCode) {
        return <SignInCode onDone={onDone} onCancel={onCancel} />;
    }
    return (
        <Form isFleeting onSubmit={(event) => void submit(event)}>
            {problem !== undefined && <Notice tone="stop" title={problem} />}
            <Field label="Email" type="email" autoComplete="username" value={email} onChange={setEmail} autoFocus />
            <Field label="Password" type="password" autoComplete="current-password" value={password} onChange={setPassword} />
            <DialogButtons>
                <MainButton type="submit">Sign in</MainButton>
                <Button onPress={onCancel}>Not now</Button>
            </DialogButtons>
        </Form>
    );
}
