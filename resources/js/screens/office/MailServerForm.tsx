import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { keepAnswer, mailServerQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { useTitles } from '../../shared/titles';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Heading, Notice, Quiet, Row, Stack } from '../../ui/Text';

type Server = Schemas['MailServer'];

const USUAL: Record<Server['security'], string> = { tls: '465', starttls: '587', none: '25' };

/** By which mail server the office sends; while there is none, what is sent is kept in the outbox only. */
export function MailServer() {
    const { data: server } = useQuery(mailServerQuery);
    const [isOpen, setOpen] = useState(false);
    const { run, problems, message } = useSaving();
    const say = useSay();
    if (server === undefined) {
        return null;
    }
    const tryIt = () => run(async () => {
        await ask(api.POST('/api/office/mail-server/try'));
        say('It got through: look into your mailbox.');
    });
    const forget = () => run(async () => {
        keepAnswer(mailServerQuery.queryKey, await ask(api.DELETE('/api/office/mail-server', { body: { version: server.version } })));
        say('What is sent is kept in the outbox only.');
    });
    return (
        <Stack as="section" data-section aria-label="Sending email" $stretch>
            <Heading>Sending email</Heading>
            {isOpen ? <ServerForm server={server} onClose={() => setOpen(false)} /> : (
                <>
                    {server.isSet
                        ? <p>By {server.host}, port {server.port}{server.sender !== '' && `, from ${server.sender}`}.</p>
                        : <Quiet>No mail server yet: what is sent is kept in the outbox, and goes nowhere.</Quiet>}
                    {(problems.host ?? message) !== undefined && <Notice tone="stop" title="Not sent">{problems.host ?? message}</Notice>}
                    <Row $gap="small">
                        <Button data-edit onPress={() => setOpen(true)}>{server.isSet ? 'Change the mail server' : 'Send by a mail server'}</Button>
                        {server.isSet && <Button onPress={() => void tryIt()}>Send me a message to try it</Button>}
                        {server.isSet && <QuietButton onPress={() => void forget()}>Send by none</QuietButton>}
                    </Row>
                </>
            )}
        </Stack>
    );
}

function ServerForm({ server, onClose }: { server: Server; onClose: () => void }) {
    const securities = useTitles('mailSecurities');
    const [draft, setDraft] = useState({
        host: server.host, port: String(server.port), security: server.security, userName: server.userName, password: '', sender: server.sender,
    });
    // What was read when it was opened.
    const [version] = useState(server.version);
    const { run, problems, message } = useSaving();
    const say = useSay();
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
    const save = () => run(async () => {
        const body = { ...draft, port: /^\d{1,5}$/.test(draft.port.trim()) ? Number(draft.port) : 0, password: draft.password === '' ? null : draft.password, version };
        keepAnswer(mailServerQuery.queryKey, await ask(api.PUT('/api/office/mail-server', { body })));
        onClose();
        say('Mail server saved. Send yourself a message to try it.');
    });
    return (
        <Form aria-label="Mail server" takesFocus onSubmit={() => void save()} onLeave={onClose}>
            <FieldRow>
                <Field label="Mail server" width="line" placeholder="mail.example.com" value={draft.host} onChange={(host) => set({ host })} problem={problems.host} />
                <ChooseOne
                    label="Secured by" width="phrase" options={securities} value={draft.security}
                    onChange={(security) => set({ security, ...draft.port === USUAL[draft.security] ? { port: USUAL[security] } : {} })}
                />
                <Field label="Port" width="mark" inputMode="numeric" value={draft.port} onChange={(port) => set({ port })} problem={problems.port} />
            </FieldRow>
            <FieldRow>
                <Field label="Signs in as" width="line" autoComplete="off" value={draft.userName} onChange={(userName) => set({ userName })} problem={problems.userName} />
                <Field
                    label="Password" width="phrase" type="password" autoComplete="new-password"
                    placeholder={server.hasPassword ? 'as it is' : ''} value={draft.password}
                    onChange={(password) => set({ password })} problem={problems.password}
                />
            </FieldRow>
            <Field
                label="Sends from" width="line" placeholder="the address of whoever sends" value={draft.sender}
                onChange={(sender) => set({ sender })} problem={problems.sender}
                hint="Where the server sends only from one address; answers still go to whoever sent it."
            />
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <Row $gap="small">
                <MainButton type="submit">Save mail server</MainButton>
                <Button onPress={onClose}>Cancel</Button>
            </Row>
        </Form>
    );
}
