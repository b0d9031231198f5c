import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { forget, keepAnswer, secondFactorQuery, sessionsQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { RecoveryCodes, SetUpSecondFactor } from '../../shared/access/SetUpSecondFactor';
import { Button, QuietButton } from '../../ui/Button';
import { momentText } from '../../ui/moment';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { Heading, Hidden, Mark, Notice, Quiet, Row, Small, Stack } from '../../ui/Text';

/** A code of an authenticator app beside the password. */
export function SecondFactor() {
    const { data: factor } = useQuery(secondFactorQuery);
    const [step, setStep] = useState<'set up' | string[]>();
    const { run, message } = useSaving();
    const say = useSay();
    if (factor === undefined) {
        return null;
    }
    const done = async (said: string) => {
        setStep(undefined);
        await forget(secondFactorQuery.queryKey);
        say(said);
    };
    return (
        <Stack as="section" aria-label="Second factor" $stretch>
            <Heading>Second factor</Heading>
            <State factor={factor} />
            {message !== undefined && <Notice tone="stop" title="Not changed">{message}</Notice>}
            {step === 'set up' && (
                <SetUpSecondFactor onDone={() => void done('Second factor turned on.')} onCancel={() => setStep(undefined)} />
            )}
            {Array.isArray(step) && <RecoveryCodes codes={step} onDone={() => void done('New recovery codes made.')} />}
            {step === undefined && !factor.isOn && <div><Button onPress={() => setStep('set up')}>Set up second factor</Button></div>}
            {step === undefined && factor.isOn && (
                <Row $gap="small">
                    <Button
                        onPress={() => void run(async () => setStep((await ask(api.POST('/api/second-factor/recovery-codes'))).codes))}
                    >
                        Make new recovery codes
                    </Button>
                    <Button
                        onPress={() => void run(async () => {
                            keepAnswer(secondFactorQuery.queryKey, await ask(api.DELETE('/api/second-factor')));
                            say('Second factor turned off.');
                        })}
                    >
                        Turn off second factor
                    </Button>
                </Row>
            )}
        </Stack>
    );
}

function State({ factor }: { factor: Schemas['SecondFactor'] }) {
    if (factor.since === null) {
        return (
            <Quiet>
                Off. With a second factor, signing in also takes a code from an authenticator app on your phone, so a stolen
                password opens nothing.
            </Quiet>
        );
    }
    return (
        <p>
            On since {momentText(factor.since)}. {factor.recoveryCodesLeft} recovery codes left.
            {factor.recoveryCodesLeft < 3 && <> <Mark tone="look">make new ones</Mark></>}
        </p>
    );
}

/** Browsers in which the user is signed in. */
export function Sessions() {
    const { data: sessions } = useQuery(sessionsQuery);
    const { run, message } = useSaving();
    const say = useSay();
    if (sessions === undefined) {
        return null;
    }
    const end = (session?: number) => run(async () => {
        keepAnswer(sessionsQuery.queryKey, await ask(session === undefined
            ? api.DELETE('/api/sessions')
            : api.DELETE('/api/sessions/{session}', { params: { path: { session } } })));
        say(session === undefined ? 'Signed out everywhere else.' : 'Session ended.');
    });
    return (
        <Stack as="section" aria-label="Sessions" $stretch>
            <Heading>Sessions</Heading>
            {message !== undefined && <Notice tone="stop" title="Not ended">{message}</Notice>}
            <TableScroll>
                <Table>
                    <thead>
                        <tr>
                            <th>Device</th><th>Network address</th><th>Signed in</th><th>Last used</th>
                            <th><Hidden>Actions</Hidden></th>
                        </tr>
                    </thead>
                    <tbody>
                        {sessions.map((session) => (
                            <tr key={session.id}>
                                <td><strong>{session.device}</strong></td>
                                <td>{session.address}</td>
                                <td className="tight">{momentText(session.beganAt)}</td>
                                <td className="tight">{momentText(session.usedAt)}</td>
                                <td>
                                    {session.isThis ? <Small>this browser</Small> : (
                                        <QuietButton aria-label={`End session ${session.device}`} onPress={() => void end(session.id)}>
                                            End session
                                        </QuietButton>
                                    )}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
            </TableScroll>
            {sessions.length > 1 && <div><Button onPress={() => void end()}>Sign out everywhere else</Button></div>}
        </Stack>
    );
}
