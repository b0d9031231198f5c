import { useState } from 'react';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Notice } from '../../ui/Text';

interface CodeFormProps {
    button: string;
    send: (code: string, remembers: boolean) => Promise<void>;
    onCancel: () => void;
    /** Whether this browser can be remembered. */
    canRemember?: boolean;
}

/** Asks for the code of the authenticator app. */
export function CodeForm({ button, send, onCancel, canRemember = false }: CodeFormProps) {
    const [code, setCode] = useState('');
    const [remembers, setRemembers] = useState(false);
    const { run, problems, message } = useSaving();
    return (
        <Form isFleeting noValidate aria-label="Code" onSubmit={() => void run(() => send(code, remembers))}>
            {message !== undefined && <Notice tone="stop" title="Code not accepted">{message}</Notice>}
            <Field
                label="Code"
                hint="Six digits from your authenticator app, or a recovery code."
                autoComplete="one-time-code"
                width="phrase"
                value={code}
                onChange={setCode}
                problem={problems.code}
                autoFocus
            />
            {canRemember && (
                <Tick isSelected={remembers} onChange={setRemembers}>Don’t ask for a code in this browser for 30 days</Tick>
            )}
            <DialogButtons>
                <MainButton type="submit">{button}</MainButton>
                <Button onPress={onCancel}>Cancel</Button>
            </DialogButtons>
        </Form>
    );
}
