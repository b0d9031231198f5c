import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { forget, tokensQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { MainButton, QuietButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { FieldRow, Heading, Mark, Notice, Quiet, Small, Stack, Title } from '../../ui/Text';

/** What somebody gets in by: the password, and tokens for scripts. */
export function Account() {
    useTitle('Your account');
    const { userName, role } = useSession();
    const { data: tokens, error, refetch } = useQuery(tokensQuery);
    if (tokens === undefined) {
        return <AwaitedSheet what="Your account" error={error} retry={() => void refetch()} />;
    }
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Stack $gap="tight"><Title>Your account</Title><Quiet>{userName}, {role}</Quiet></Stack>
                <NewPassword />
                <Stack as="section" aria-label="Tokens for scripts" $stretch>
                    <Heading>Tokens for scripts</Heading>
                    {tokens.length === 0 && <Quiet>No tokens. A script signs in with one instead of a password.</Quiet>}
                    {tokens.length > 0 && <Tokens tokens={tokens} />}
                    <NewToken />
                </Stack>
            </Stack>
        </Sheet>
    );
}

function NewPassword() {
    const blank = { current: '', password: '' };
    const [draft, setDraft] = useState(blank);
    const { run, problems, message } = useSaving();
    const say = useSay();
    return (
        <Form
            aria-label="New password"
            onSubmit={() => void run(async () => {
                await ask(api.PUT('/api/password', { body: draft }));
                setDraft(blank);
                await forget(tokensQuery.queryKey);
                say('Password changed. Tokens and the calendar address have ended.');
            })}
        >
            <Heading>Password</Heading>
            <FieldRow>
                <Field
                    label="Password now"
                    type="password"
                    autoComplete="current-password"
                    width="phrase"
                    value={draft.current}
                    onChange={(current) => setDraft({ ...draft, current })}
                    problem={problems.current}
                />
                <Field
                    label="New password"
                    type="password"
                    autoComplete="new-password"
                    width="line"
                    hint="At least 12 characters. Several words are easy to remember."
                    value={draft.password}
                    onChange={(password) => setDraft({ ...draft, password })}
                    problem={problems.password}
                />
            </FieldRow>
            {message !== undefined && <Notice tone="stop" title="Not changed">{message}</Notice>}
            <MainButton type="submit">Change the password</MainButton>
        </Form>
    );
}

function Tokens({ tokens }: { tokens: Schemas['KeptToken'][] }) {
    const say = useSay();
    const revoke = async (token: number) => {
        try {
            await ask(api.DELETE('/api/tokens/{token}', { params: { path: { token } } }));
            await forget(tokensQuery.queryKey);
            say('Token revoked.');
        } catch (error) {
            say(`Not revoked. ${(error as Error).message}`);
        }
    };
    return (
        <TableScroll>
            <Table>
                <thead>
                    <tr>
                        <th>For</th>
                        <th>Whose</th>
                        <th>Made</th>
                        <th>Last used</th>
                        <th>Ends</th>
                        <th aria-label="What can be done" />
                    </tr>
                </thead>
                <tbody>
                    {tokens.map((token) => (
                        <tr key={token.id}>
                            <td><strong>{token.name}</strong></td>
                            <td>{token.isMine ? 'yours' : token.userName}</td>
                            <td className="tight">{token.madeText}</td>
                            <td className="tight">{token.usedText || <Small>never</Small>}</td>
                            <td className="tight">
                                {token.endsText} {token.hasEnded && <Mark tone="look">ended</Mark>}
                            </td>
                            <td>
                                <QuietButton aria-label={`Revoke ${token.name}`} onPress={() => void revoke(token.id)}>
                                    Revoke
                                </QuietButton>
                            </td>
                        </tr>
                    ))}
                </tbody>
            </Table>
        </TableScroll>
    );
}

function NewToken() {
    const { userEmail } = useSession();
    const blank = { name: '', password: '' };
    const [draft, setDraft] = useState(blank);
    const [made, setMade] = useState<string>();
    const { run, problems, message } = useSaving();
    return (
        <Form
            aria-label="New token"
            onSubmit={() => void run(async () => {
                const { token } = await ask(api.POST('/api/tokens', { body: { ...draft, email: userEmail ?? '' } }));
                setMade(token);
                setDraft(blank);
                await forget(tokensQuery.queryKey);
            })}
        >
            {made !== undefined && <Field label="The new token, shown only now" isReadOnly autoFocus value={made} />}
            <FieldRow>
                <Field
                    label="What it is for"
                    width="phrase"
                    value={draft.name}
                    onChange={(name) => setDraft({ ...draft, name })}
                    problem={problems.name}
                />
                <Field
                    label="Your password"
                    type="password"
                    autoComplete="current-password"
                    width="phrase"
                    value={draft.password}
                    onChange={(password) => setDraft({ ...draft, password })}
                    problem={problems.password}
                />
            </FieldRow>
            {message !== undefined && <Notice tone="stop" title="Not made">{message}</Notice>}
            <MainButton type="submit">Make a token for 90 days</MainButton>
        </Form>
    );
}
