import { useState } from 'react';
import { useSaving } from '../api/useSaving';
import { Button, MainButton } from '../ui/Button';
import { Dialog, DialogButtons } from '../ui/Dialog';
import { Field } from '../ui/Field';
import { Form } from '../ui/Form';

interface Props {
    title: string;
    hint?: string | undefined;
    action: string;
    /** What is proposed, where it is asked how much. */
    withAmount?: string;
    onClose: () => void;
    /** Does it, and says so. */
    run: (reason: string, amount: string) => Promise<unknown>;
}

/** Asks why, and perhaps how much, before something is done. */
export function AskWhy({ title, hint, action, withAmount, onClose, run }: Props) {
    const [reason, setReason] = useState('');
    const [amount, setAmount] = useState(withAmount ?? '');
    const { run: saving, problems, message } = useSaving();
    return (
        <Dialog title={title} onClose={onClose}>
            <Form
                onSubmit={(event) => {
                    event.preventDefault();
                    void saving(async () => {
                        await run(reason, amount);
                        onClose();
                    });
                }}
            >
                {hint !== undefined && <p>{hint}</p>}
                {withAmount !== undefined && (
                    <Field label="Amount" width="day" value={amount} onChange={setAmount} problem={problems.amount} />
                )}
                <Field label="Why" autoFocus value={reason} onChange={setReason} problem={problems.reason ?? message} />
                <DialogButtons><MainButton type="submit">{action}</MainButton><Button onPress={onClose}>Cancel</Button></DialogButtons>
            </Form>
        </Dialog>
    );
}
