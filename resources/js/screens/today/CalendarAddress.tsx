import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { useSay } from '../../ui/StatusLine';

/** The secret address at which a calendar program finds the reminders. */
export function CalendarAddress() {
    const [isOpen, setOpen] = useState(false);
    const [made, setMade] = useState<Schemas['CalendarAddress']>();
    const say = useSay();
    const close = () => {
        setOpen(false);
        setMade(undefined);
    };
    const make = async () => {
        try {
            setMade(await ask(api.POST('/api/calendar')));
        } catch (error) {
            say(`No address was made. ${(error as Error).message}`);
        }
    };

    return (
        <>
            <div><QuietButton onPress={() => setOpen(true)}>See them in a calendar program …</QuietButton></div>
            {isOpen && (
                <Dialog title="Reminders in a calendar program" onClose={close}>
                    {made === undefined ? (
                        <p>
                            A calendar program can show your reminders when it is given a secret address. Whoever has the address can read
                            them. Making a new one ends the one before.
                        </p>
                    ) : (
                        <>
                            <Field label="Your address, shown only now" isReadOnly autoFocus value={made.address} />
                            <p>Give it to your calendar program as a calendar to subscribe to.</p>
                        </>
                    )}
                    <DialogButtons>
                        {made === undefined ? (
                            <MainButton onPress={() => void make()}>Make an address</MainButton>
                        ) : (
                            <MainButton
                                onPress={() =>
                                    void navigator.clipboard.writeText(made.address).then(
                                        () => say('Copied.'),
                                        () => say('Not copied. Select the address and copy it.'),
                                    )
                                }
                            >
                                Copy it
                            </MainButton>
                        )}
                        <Button onPress={close}>Close</Button>
                    </DialogButtons>
                </Dialog>
            )}
        </>
    );
}
