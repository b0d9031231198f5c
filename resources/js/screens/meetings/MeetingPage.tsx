import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { forgetLedger, keepMeeting, meetingQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { SubjectLink } from '../../shared/SubjectLink';
import { Button, MainButton } from '../../ui/Button';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Facts, Heading, Mark, Notice, Paragraphs, Quiet, Row, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { MeetingForm } from './MeetingForm';

type Meeting = Schemas['Meeting'];

/** A meeting: when, where, who, what about, and what came of it. */
export function MeetingPage() {
    const id = Number(useParams().id);
    const { data, error, refetch } = useQuery(meetingQuery(id));
    const { mayChangeRecords } = useSession();
    const [asks, setAsks] = useState<'change' | 'outcome' | 'call-off'>();
    const say = useSay();
    useTitle(data?.title ?? 'Meeting');
    if (data === undefined) {
        return <AwaitedSheet what="The meeting" error={error} retry={() => void refetch()} />;
    }
    const close = () => setAsks(undefined);
    const isPlanned = data.state === 'planned';

    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Stack $gap="small">
                    <Row><Title>{data.title}</Title><span>meeting for <SubjectLink subject={data.subject} /></span></Row>
                    <Row $gap="small">
                        <strong>{data.whenText}</strong>
                        {data.state === 'cancelled'
                            ? <Mark tone="stop">{data.stateTitle}</Mark>
                            : data.state === 'held' ? <Mark tone="fine">{data.stateTitle}</Mark> : <Quiet>{data.stateTitle}</Quiet>}
                    </Row>
                    <Quiet>arranged by {data.by}</Quiet>
                </Stack>
                {asks === 'change' ? (
                    <ChangeForm meeting={data} onClose={close} />
                ) : (
                    <>
                        <Facts>
                            <div>
                                <dt>Who comes</dt>
                                <dd>
                                    {data.parties.length + data.users.length === 0 && <Quiet>nobody yet</Quiet>}
                                    {data.parties.map(({ id: partyId, name, email }) => (
                                        <div key={partyId}>
                                            <Link to={`/records/${partyId}`}>{name}</Link>{' '}
                                            <Quiet>{email === '' ? 'no email' : email}</Quiet>
                                        </div>
                                    ))}
                                    {data.users.map(({ id: userId, name }) => <div key={userId}>{name} <Quiet>from here</Quiet></div>)}
                                </dd>
                            </div>
                            {data.document !== null && (
                                <div>
                                    <dt>About</dt>
                                    <dd><Link to={`/documents/${data.document.id}`}>{data.document.title}</Link></dd>
                                </div>
                            )}
                            <div>
                                <dt>Invitations</dt>
                                <dd>{data.isInvited ? 'go out, with word of every change' : 'none'}</dd>
                            </div>
                        </Facts>
                        <Stack as="section" $gap="small" aria-label="Agenda">
                            <Heading>Agenda</Heading>
                            {data.agenda === '' ? <Quiet>None written.</Quiet> : <Paragraphs>{data.agenda}</Paragraphs>}
                        </Stack>
                        {data.state !== 'cancelled' && (
                            <Stack as="section" $gap="small" $stretch aria-label="What came of it">
                                <Heading>What came of it</Heading>
                                {asks === 'outcome'
                                    ? <OutcomeForm meeting={data} onClose={close} />
                                    : data.outcome === '' ? (
                                        <Quiet>{data.canConclude ? 'Nothing is written yet.' : 'It is still to come.'}</Quiet>
                                    ) : <Paragraphs>{data.outcome}</Paragraphs>}
                            </Stack>
                        )}
                        {mayChangeRecords && asks === undefined && (
                            <Row $gap="small">
                                <NextStep meeting={data} onOutcome={() => setAsks('outcome')} />
                                {isPlanned && <Button onPress={() => setAsks('change')}>Move or change it</Button>}
                                {isPlanned && <Button onPress={() => setAsks('call-off')}>Call it off …</Button>}
                                {data.outcome !== '' && <Button onPress={() => setAsks('outcome')}>Put it right</Button>}
                            </Row>
                        )}
                    </>
                )}
            </Stack>
            {asks === 'call-off' && <CallOff meeting={data} onClose={close} onDone={() => say('Called off.')} />}
        </Sheet>
    );
}

/** What comes next: to write what came of it, or to make the order of the quote it was about. */
function NextStep({ meeting, onOutcome }: { meeting: Meeting; onOutcome: () => void }) {
    const navigate = useNavigate();
    const { run, failure } = useSaving();
    const { document } = meeting;
    if (meeting.canConclude && meeting.outcome === '') {
        return <MainButton onPress={onOutcome}>Write what came of it</MainButton>;
    }
    if (document === null || !meeting.canBecomeOrder) {
        return null;
    }
    return (
        <>
            <MainButton
                onPress={() => void run(async () => {
                    const order = await ask(api.POST('/api/documents/{document}/next', {
                        params: { path: { document: document.id } }, body: { kind: 'order', isConfirmed: false },
                    }));
                    forgetLedger();
                    await navigate(`/documents/${order.row.id}`);
                })}
            >
                Make the order
            </MainButton>
            {failure !== undefined && <Mark tone="stop">{failure.message}</Mark>}
        </>
    );
}

function ChangeForm({ meeting, onClose }: { meeting: Meeting; onClose: () => void }) {
    const say = useSay();
    const { id, version, title, day, time, minutes, place, agenda, parties, users, document, isInvited } = meeting;
    return (
        <MeetingForm
            label="Move or change it"
            begun={{
                title, day, time, minutes, place, agenda, isInvited,
                parties: parties.map((one) => ({ id: one.id, name: one.name })),
                userIds: users.map((one) => one.id),
                documentId: document?.id ?? null,
            }}
            documents={document === null ? [] : [{ id: String(document.id), name: document.title }]}
            saveLabel="Save the meeting"
            onLeave={onClose}
            save={async (input) => {
                keepMeeting(await ask(api.PUT('/api/meetings/{meeting}', {
                    params: { path: { meeting: id } }, body: { ...input, version },
                })));
                onClose();
                say(input.isInvited ? 'Saved; who comes is told what is new.' : 'Saved.');
            }}
        />
    );
}

function OutcomeForm({ meeting, onClose }: { meeting: Meeting; onClose: () => void }) {
    const [outcome, setOutcome] = useState(meeting.outcome);
    const { run, problems, message } = useSaving();
    const say = useSay();
    return (
        <Form
            aria-label="What came of it"
            $wide
            onLeave={onClose}
            onSubmit={(event) => {
                event.preventDefault();
                void run(async () => {
                    keepMeeting(await ask(api.PUT('/api/meetings/{meeting}/outcome', {
                        params: { path: { meeting: meeting.id } }, body: { outcome, version: meeting.version },
                    })));
                    onClose();
                    say('Kept.');
                });
            }}
        >
            <Field label="What was said and agreed" lines={5} autoFocus value={outcome} onChange={setOutcome} problem={problems.outcome} />
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <Row $gap="small">
                <MainButton type="submit">Save what came of it</MainButton>
                <Button onPress={onClose}>Cancel</Button>
            </Row>
        </Form>
    );
}

function CallOff({ meeting, onClose, onDone }: { meeting: Meeting; onClose: () => void; onDone: () => void }) {
    const { run, failure } = useSaving();
    return (
        <Dialog title="Call the meeting off?" role="alertdialog" onClose={onClose}>
            <p>{meeting.isInvited ? 'Everybody who was invited is told. ' : ''}It stays in the log, and cannot be taken up again.</p>
            {failure !== undefined && <Notice tone="stop" title="Not called off">{failure.message}</Notice>}
            <DialogButtons>
                <MainButton
                    onPress={() => void run(async () => {
                        keepMeeting(await ask(api.POST('/api/meetings/{meeting}/call-off', {
                            params: { path: { meeting: meeting.id } }, body: { version: meeting.version },
                        })));
                        onClose();
                        onDone();
                    })}
                >
                    Call it off
                </MainButton>
                <Button autoFocus onPress={onClose}>Keep it</Button>
            </DialogButtons>
        </Dialog>
    );
}
