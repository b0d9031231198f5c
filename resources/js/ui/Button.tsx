import { Button as AriaButton, type ButtonProps, Link as AriaLink } from 'react-aria-components';
import type { Ref } from 'react';
import styled, { css } from 'styled-components';
import { size, space, type } from './tokens';
import { useBusy } from './working';

const shape = css`
    display: inline-flex;
    align-items: center;
    gap: ${space.small};
    padding: 5px 13px;
    border: 1px solid transparent;
    border-radius: 3px;
    font: 500 ${type.body}/1.4 ${type.sans};
    text-decoration: none;
    white-space: nowrap;
    cursor: pointer;

    svg { flex: none; }
    &[data-focus-visible] { outline: 2px solid var(--accent); outline-offset: 2px; }
    &[data-disabled] { opacity: 0.55; cursor: default; }
    &[data-pending] { opacity: 0.7; cursor: progress; }
`;

/** A button that is busy while what it began is under way; a second press does nothing. */
function Pressed(props: ButtonProps & { ref?: Ref<HTMLButtonElement> }) {
    const { isBusy, press } = useBusy();
    return (
        <AriaButton
            {...props}
            {...(isBusy ? { 'aria-disabled': true, 'data-pending': true } : {})}
            onPress={(event) => {
                if (!isBusy) {
                    press();
                    props.onPress?.(event);
                }
            }}
        />
    );
}

/** The one thing to do next. */
export const MainButton = styled(Pressed)`
    ${shape}
    background: var(--accent);
    color: var(--on-accent);
    &[data-hovered] { filter: brightness(1.12); }
`;

export const Button = styled(Pressed)`
    ${shape}
    border-color: var(--edge);
    background: transparent;
    color: var(--accent);
    &[data-hovered] { background: var(--wash); }
`;

/** For what is done often and must not shout. */
/** With $below, at the height of the fields beside it, which stand under their labels. */
export const QuietButton = styled(Pressed)<{ $below?: boolean }>`
    ${shape}
    ${({ $below }) => ($below === true ? 'margin-top: 22px;' : '')}
    padding: ${space.hair} ${size.beside};
    border: 0;
    background: transparent;
    color: var(--accent);
    font-weight: 400;
    &[data-hovered] { background: var(--wash); }
`;

/** The one thing to do next, where that is another page. */
export const MainLink = styled(AriaLink)`
    ${shape}
    background: var(--accent);
    color: var(--on-accent);
    &[data-hovered] { filter: brightness(1.12); }
`;

export const ButtonLink = styled(AriaLink)`
    ${shape}
    border-color: var(--edge);
    color: var(--accent);
    &[data-hovered] { background: var(--wash); }
`;
