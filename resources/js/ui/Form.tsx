import { useEffect, useRef, useState, type ComponentProps, type KeyboardEvent } from 'react';
import styled from 'styled-components';
import { Button, MainButton } from './Button';
import { Dialog, DialogButtons } from './Dialog';
import { isLeaveKey, isSaveKey } from './saveKeys';
import { space } from './tokens';
import { onSaved, useUnsaved, whileSaving } from './unsaved';

const Plain = styled.form`
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    min-width: 0;
    gap: ${space.medium};
    justify-items: start;
`;

interface Props extends ComponentProps<typeof Plain> {
    /** What Ctrl+Enter does; without it, it submits the form. */
    onSave?: () => Promise<unknown>;
    /** What Esc does, when nothing else is open; asked about first when something is typed. */
    onLeave?: () => void;
    /** Whether what is typed may go without asking: what somebody looks for, and does not keep. */
    isFleeting?: boolean;
}

/** Whether something happened in the form itself, and not in a dialog above it. */
function isIn(event: { currentTarget: HTMLElement; target: EventTarget }): boolean {
    return event.target instanceof Node && event.currentTarget.contains(event.target);
}

/** A form: Ctrl+Enter saves it from anywhere in it, and what is typed into it is not lost without asking. */
export function Form({ onSave, onLeave, isFleeting = false, onSubmit, children, ...rest }: Props) {
    const [isTyped, setTyped] = useState(false);
    const [isAsking, setAsking] = useState(false);
    const isSent = useRef(false);
    useUnsaved(isTyped && !isFleeting);
    useEffect(() => onSaved(() => {
        if (isSent.current) {
            isSent.current = false;
            setTyped(false);
        }
    }), []);
    const keys = onLeave === undefined ? {} : {
        onKeyDown: (event: KeyboardEvent<HTMLFormElement>) => {
            if (isLeaveKey(event)) {
                event.preventDefault();
                if (isTyped) {
                    setAsking(true);
                } else {
                    onLeave();
                }
            }
        },
    };
    return (
        <Plain
            noValidate
            data-typed={isTyped || undefined}
            {...rest}
            {...keys}
            onKeyDownCapture={(event: KeyboardEvent<HTMLFormElement>) => {
                if (isSaveKey(event)) {
                    event.preventDefault();
                    event.stopPropagation();
                    isSent.current = true;
                    if (onSave === undefined) {
                        event.currentTarget.requestSubmit();
                    } else {
                        void onSave();
                    }
                }
            }}
            onInput={(event) => isIn(event) && setTyped(true)}
            onSubmit={(event) => {
                event.preventDefault();
                isSent.current = true;
                onSubmit?.(event);
            }}
        >
            {children}
            {isAsking && (
                <Dialog title="Leave without saving?" role="alertdialog" onClose={() => setAsking(false)}>
                    <p>What you typed here is not saved yet.</p>
                    <DialogButtons>
                        <MainButton autoFocus onPress={() => setAsking(false)}>Go on</MainButton>
                        <Button onPress={() => void whileSaving(async () => onLeave?.())}>Leave without saving</Button>
                    </DialogButtons>
                </Dialog>
            )}
        </Plain>
    );
}
