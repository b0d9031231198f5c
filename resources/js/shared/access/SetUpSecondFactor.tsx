import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { QrCode } from '../../ui/QrCode';
import { Heading, Notice, Row, Small, Stack } from '../../ui/Text';

type Setup = Schemas['SecondFactorSetup'];

/** The steps to a second factor: the password, the QR code and a first code, the recovery codes. */
export function SetUpSecondFactor({ onDone, onCancel }: { onDone: () => void; onCancel?: () => void }) {
    const [setup, setSetup] = useState<Setup>();
    const [codes, setCodes] = useState<string[]>();
    if (codes !== undefined) {
        return <RecoveryCodes codes={codes} onDone={onDone} />;
    }
    return setup === undefined
        ? <PasswordStep onBegun={setSetup} {...onCancel && { onCancel }} />
        : <AppStep setup={setup} onConfirmed={setCodes} {...onCancel && { onCancel }} />;
}

function PasswordStep({ onBegun, onCancel }: { onBegun: (setup: Setup) => void; onCancel?: () => void }) {
    const [password, setPassword] = useState('');
    const { run, problems, message } = useSaving();
    return (
        <Form
            isFleeting
            aria-label="Set up second factor"
            onSubmit={() => void run(async () => onBegun(await ask(api.POST('/api/second-factor', { body: { password } }))))}
        >
            <Field
                label="Your password"
                type="password"
                autoComplete="current-password"
                width="phrase"
                value={password}
                onChange={setPassword}
                problem={problems.password}
                autoFocus
            />
            {message !== undefined && <Notice tone="stop" title="Not set up">{message}</Notice>}
            <Row $gap="small">
                <MainButton type="submit">Continue</MainButton>
                {onCancel && <Button onPress={onCancel}>Cancel</Button>}
            </Row>
        </Form>
    );
}

function AppStep({ setup, onConfirmed, onCancel }: { setup: Setup; onConfirmed: (codes: string[]) => void; onCancel?: () => void }) {
    const [code, setCode] = useState('');
    const { run, problems, message } = useSaving();
    return (
        <Form
            isFleeting
            aria-label="First code"
            onSubmit={() => void run(async () => onConfirmed((await ask(api.PUT('/api/second-factor', { body: { code } }))).codes))}
        >
            <p>Scan this QR code with an authenticator app on your phone.</p>
            <QrCode rows={setup.rows} label="QR code for your authenticator app" />
            <Small>No camera? Enter this key in the app: <strong>{setup.secret.match(/.{4}/g)?.join(' ')}</strong></Small>
            <Field
                label="Code that the app shows"
                autoComplete="one-time-code"
                inputMode="numeric"
                width="phrase"
                value={code}
                onChange={setCode}
                problem={problems.code}
                autoFocus
            />
            {message !== undefined && <Notice tone="stop" title="Not turned on">{message}</Notice>}
            <Row $gap="small">
                <MainButton type="submit">Turn on second factor</MainButton>
                {onCancel && <Button onPress={onCancel}>Cancel</Button>}
            </Row>
        </Form>
    );
}

/** Shown once, to be printed or copied. */
export function RecoveryCodes({ codes, onDone }: { codes: string[]; onDone: () => void }) {
    return (
        <Stack as="section" aria-label="Recovery codes" $stretch>
            <Heading>Recovery codes</Heading>
            <p>Each code signs you in once if you lose your phone. Print or copy them now: they are not shown again.</p>
            <Field label="Recovery codes" isReadOnly lines={10} autoFocus value={codes.join('\n')} />
            <Row $gap="small">
                <MainButton onPress={onDone}>Codes are saved</MainButton>
                <Button onPress={() => void navigator.clipboard.writeText(codes.join('\n'))}>Copy codes</Button>
                <Button onPress={() => window.print()}>Print codes</Button>
            </Row>
        </Stack>
    );
}
