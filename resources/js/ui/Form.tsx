import { useState, type ComponentProps } from 'react';
import styled from 'styled-components';
import { onSaveKeys } from './saveKeys';
import { space } from './tokens';
import { useUnsaved } from './unsaved';

const Plain = styled.form`
    display: grid;
    gap: ${space.medium};
    justify-items: start;
`;

interface Props extends ComponentProps<typeof Plain> {
    /** What Ctrl+Enter does; without it, it submits the form. */
    onSave?: () => Promise<unknown>;
    /** Whether what is typed may go without asking: what somebody looks for, and does not keep. */
    isFleeting?: boolean;
}

/** A form: Ctrl+Enter saves it from anywhere in it, and what is typed into it is not lost without asking. */
export function Form({ onSave, isFleeting = false, onSubmit, children, ...rest }: Props) {
    const [isTyped, setTyped] = useState(false);
    useUnsaved(isTyped && !isFleeting);
    return (
        <Plain
            noValidate
            data-typed={isTyped || undefined}
            {...rest}
            {...onSaveKeys(async (form) => {
                if (onSave === undefined) {
                    form.requestSubmit();
                } else {
                    await onSave();
                }
            })}
            onInput={(event) => event.target instanceof Node && event.currentTarget.contains(event.target) && setTyped(true)}
            onSubmit={(event) => {
                event.preventDefault();
                onSubmit?.(event);
            }}
        >
            {children}
        </Plain>
    );
}
