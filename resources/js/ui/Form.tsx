import { useEffect, useRef, useState, type ComponentProps, type KeyboardEvent } from 'react';
import styled from 'styled-components';
import { LeaveQuestion } from './Dialog';
import { isIn, isLeaveKey, takesSaveKey } from './saveKeys';
import { space } from './tokens';
import { onSaved, useUnsaved, whileSaving } from './unsaved';

const Plain = styled.form<{ $stretch?: boolean; $wide?: boolean }>`
    display: grid;
    ${({ $wide }) => ($wide === true ? 'width: 100%;' : '')}
    grid-template-columns: minmax(0, 1fr);
    min-width: 0;
    gap: ${space.medium};
    justify-items: ${({ $stretch }) => ($stretch === true ? 'stretch' : 'start')};
`;

interface Props extends ComponentProps<typeof Plain> {
    /** What Ctrl+Enter does; without it, it submits the form. */
    onSave?: () => Promise<unknown>;
    /** What Esc does, when nothing else is open; asked about first when something is typed. */
    onLeave?: () => void;
    /** Whether what is typed may go without asking: what somebody looks for, and does not keep. */
    isFleeting?: boolean;
    /** Whether the cursor goes to its first field when it opens. */
    takesFocus?: boolean;
}

/** A form: Ctrl+Enter saves it from anywhere in it, and what is typed into it is not lost without asking. */
export function Form({ onSave, onLeave, isFleeting = false, takesFocus = false, onSubmit, children, ...rest }: Props) {
    const form = useRef<HTMLFormElement>(null);
    useEffect(() => {
        if (takesFocus && form.current?.contains(document.activeElement) === false) {
            form.current.querySelector<HTMLElement>('input, textarea')?.focus();
        }
    }, [takesFocus]);
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
            ref={form}
            noValidate
            data-typed={isTyped || undefined}
            {...rest}
            {...keys}
            onKeyDownCapture={(event: KeyboardEvent<HTMLFormElement>) => {
                if (takesSaveKey(event)) {
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
            {isAsking && <LeaveQuestion onStay={() => setAsking(false)} onLeave={() => void whileSaving(async () => onLeave?.())} />}
        </Plain>
    );
}
