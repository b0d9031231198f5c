import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Navigate, useLocation } from 'react-router';
import { api, ask, Refused } from '../../api/client';
import { keepAnswer, sessionQuery } from '../../api/queries';
import { SignInCode } from '../../shared/access/SignInCode';
import { MainButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Doorway, Wordmark } from '../../ui/Page';
import { Notice, Quiet, Stack, Title } from '../../ui/Text';

export function SignIn() {
    const client = useQueryClient();
    const { data: session } = useQuery(sessionQuery);
    const location = useLocation();
    const [email, setEmail] = useState('');
    const [password, setPassword] = useState('');
    const [refusal, setRefusal] = useState<Error>();
    const [isBusy, setBusy] = useState(false);

    if (session?.needsSetup === true) {
        return <Navigate to="/set-up" replace />;
    }
    if (session?.userName != null) {
        const from = (location.state as { from?: string } | null)?.from;
        return <Navigate to={from ?? '/'} replace />;
    }

    const submit = async (event: FormEvent) => {
        event.preventDefault();
        setBusy(true);
        setRefusal(undefined);
        try {
            // The first answer brings a session; one that came after this one would put an old session in its place.
            await client.ensureQueryData(sessionQuery);
            keepAnswer(sessionQuery.queryKey, await ask(api.POST('/api/session', { body: { email, password } })));
        } catch (error) {
            setRefusal(error as Error);
        }
        setBusy(false);
    };
    const problems = refusal instanceof Refused ? refusal.fields : {};
    if (session?.needsCode === true) {
        return (
            <Doorway>
                <Stack $gap="small">
                    <Wordmark>Neat Almanac</Wordmark>
                    <Title>Enter your code</Title>
                </Stack>
                <SignInCode onCancel={() => keepAnswer(sessionQuery.queryKey, { ...session, needsCode: false })} />
            </Doorway>
        );
    }

    return (
        <Doorway>
            <Stack $gap="small">
                <Wordmark>Neat Almanac</Wordmark>
                <Title>Sign in</Title>
                <Quiet>The office’s one book of who it deals with, and on what terms.</Quiet>
            </Stack>
            <Form isFleeting noValidate onSubmit={(event) => void submit(event)}>
                {refusal !== undefined && Object.keys(problems).length === 0 && (
                    <Notice tone="stop" title={refusal instanceof Refused ? refusal.problem.title : 'The server cannot be reached'}>
                        {refusal instanceof Refused ? refusal.message : 'Check that it is running, then try again.'}
                    </Notice>
                )}
                <Field
                    label="Email"
                    type="email"
                    autoComplete="username"
                    value={email}
                    onChange={setEmail}
                    problem={problems.email}
                    autoFocus
                />
                <Field
                    label="Password"
                    type="password"
                    autoComplete="current-password"
                    value={password}
                    onChange={setPassword}
                    problem={problems.password}
                />
                <MainButton type="submit" isDisabled={isBusy}>
                    Sign in
                </MainButton>
            </Form>
        </Doorway>
    );
}
