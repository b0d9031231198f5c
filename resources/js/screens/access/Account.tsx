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
import { FieldRow, Heading, Hidden, Mark, Notice, Quiet, Small, Stack, Title } from '../../ui/Text';
import { SecondFactor, Sessions } from './SecondFactor';

/** For how long a phone is let in. */
const MOST_DAYS = 365;

/** What somebody gets in by: the password, and tokens for scripts and phones. */
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
                <SecondFactor />
                <Sessions />
                <Stack as="section" aria-label="Tokens for scripts" $stretch>
                    <Heading>Tokens for scripts</Heading>
                    {tokens.length === 0 && <Quiet>No tokens. A script signs in with one instead of a password.</Quiet>}
                    {tokens.length > 0 && <Tokens tokens={tokens} />}
                    <NewToken />
                </Stack>
                <Stack as="section" aria-label="On your phone" $stretch>
                    <Heading>On your phone, in your mail program</Heading>
                    <p>
                        The book, and each saved list, can be read there as an address book (CardDAV). Add an account with the
                        address <strong>{window.location.origin}/dav/</strong>, your email, and an app password made here.
                        It opens the address books and nothing else; what is private is not in them, and nothing can be changed from there.
                    </p>
                    <NewToken use="cards" />
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
                        <th>Opens</th>
                        <th>Whose</th>
                        <th>Made</th>
                        <th>Last used</th>
                        <th>Ends</th>
                        <th><Hidden>What can be done</Hidden></th>
                    </tr>
                </thead>
                <tbody>
                    {tokens.map((token) => (
                        <tr key={token.id}>
                            <td><strong>{token.name}</strong></td>
                            <td>{token.opens}</td>
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

function NewToken({ use = 'scripts' }: { use?: 'scripts' | 'cards' }) {
    const isCard = use === 'cards';
    const { userEmail } = useSession();
    const blank = { name: '', password: '' };
    const [draft, setDraft] = useState(blank);
    const [made, setMade] = useState<string>();
    const { run, problems, message } = useSaving();
    return (
        <Form
            aria-label={isCard ? 'New app password' : 'New token'}
            onSubmit={() => void run(async () => {
                const { token } = await ask(api.POST('/api/tokens', { body: { ...draft, use, email: userEmail ?? '', ...isCard ? { days: MOST_DAYS } : {} } }));
                setMade(token);
                setDraft(blank);
                await forget(tokensQuery.queryKey);
            })}
        >
            {made !== undefined && <Field label={isCard ? 'The app password, shown only now' : 'The new token, shown only now'} isReadOnly autoFocus value={made} />}
            <FieldRow>
                <Field
                    label={isCard ? 'For which phone or program' : 'What it is for'}
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
            <MainButton type="submit">{isCard ? 'Make an app password for a year' : 'Make a token for 90 days'}</MainButton>
        </Form>
    );
}
