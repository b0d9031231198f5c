import { useEffect, useState, type ReactNode } from 'react';
import { api, ask } from '../api/client';
import { onCodeNeeded } from '../api/sendOnce';
import { CodeForm } from '../shared/access/CodeForm';
import { Dialog } from '../ui/Dialog';

/** Before something delicate the server asks for a code again: ask, and let the request go on. */
export function CodeAgain({ children }: { children: ReactNode }) {
    const [answer, setAnswer] = useState<(isGiven: boolean) => void>();
    useEffect(() => onCodeNeeded(() => new Promise((resolve) => setAnswer(() => resolve))), []);
    const close = (isGiven: boolean) => {
        setAnswer(undefined);
        answer?.(isGiven);
    };
    return (
        <>
            {children}
            {answer !== undefined && (
                <Dialog title="Confirm with a code" onClose={() => close(false)}>
                    <CodeForm
                        button="Confirm"
                        send={async (code) => {
                            await ask(api.POST('/api/session/proof', { body: { code } }));
                            close(true);
                        }}
                        onCancel={() => close(false)}
                    />
                </Dialog>
            )}
        </>
    );
}
