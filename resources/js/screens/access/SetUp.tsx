import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Navigate } from 'react-router';
import { api, ask, Refused } from '../../api/client';
import { countriesQuery, keepAnswer, sessionQuery } from '../../api/queries';
import { MainButton } from '../../ui/Button';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Doorway, Wordmark } from '../../ui/Page';
import { Notice, Quiet, Stack, Title } from '../../ui/Text';

const BLANK = { officeName: '', country: 'US', name: '', email: '', password: '' };

/** The first start of an office: who it is, and its first administrator. */
export function SetUp() {
    const client = useQueryClient();
    const { data: session } = useQuery(sessionQuery);
    const { data: countries } = useQuery(countriesQuery);
    const [draft, setDraft] = useState(BLANK);
    const [refusal, setRefusal] = useState<Error>();

    if (session !== undefined && !session.needsSetup) {
        return <Navigate to="/" replace />;
    }

    const submit = async (event: FormEvent) => {
        event.preventDefault();
        setRefusal(undefined);
        try {
            // The first answer brings a session; one that came after this one would put an old session in its place.
            await client.ensureQueryData(sessionQuery);
            keepAnswer(sessionQuery.queryKey, await ask(api.POST('/api/setup', { body: draft })));
        } catch (error) {
            setRefusal(error as Error);
        }
    };
    const problems = refusal instanceof Refused ? refusal.fields : {};
    const text = (field: keyof typeof BLANK) => ({
        value: draft[field],
        onChange: (value: string) => setDraft({ ...draft, [field]: value }),
        problem: problems[field],
    });

    return (
        <Doorway>
            <Stack $gap="small">
                <Wordmark>Neat Almanac</Wordmark>
                <Title>Open the book</Title>
                <Quiet>Two things to begin with: whose book it is, and who looks after it. You can add colleagues later.</Quiet>
            </Stack>
            <Form isFleeting noValidate onSubmit={(event) => void submit(event)}>
                {refusal !== undefined && Object.keys(problems).length === 0 && (
                    <Notice tone="stop" title="Not set up yet">{refusal.message}</Notice>
                )}
                <Field label="Name of your office" {...text('officeName')} autoFocus />
                <ChooseFromMany
                    label="Country"
                    options={(countries ?? []).map(({ code, name }) => ({ id: code, name }))}
                    {...text('country')}
                />
                <Field label="Your name" autoComplete="name" {...text('name')} />
                <Field label="Your email" type="email" autoComplete="username" {...text('email')} />
                <Field
                    label="A password"
                    type="password"
                    autoComplete="new-password"
                    hint="At least 12 characters."
                    {...text('password')}
                />
                <MainButton type="submit">Open the book</MainButton>
            </Form>
        </Doorway>
    );
}
