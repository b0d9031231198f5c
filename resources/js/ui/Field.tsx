import type { ReactNode, Ref } from 'react';
import {
    FieldError, Input, Label as AriaLabel, Text, TextArea, TextField, type TextFieldProps,
} from 'react-aria-components';
import styled from 'styled-components';
import { field, space, type, widthOf, type Width } from './tokens';

export const FieldLabel = styled(AriaLabel)`
    display: block;
    color: var(--quiet);
    font-size: ${type.small};
`;

export const Problem = styled(FieldError)`
    display: block;
    margin-top: ${space.tight};
    color: var(--stop);
    font-size: ${type.small};
`;

const Hint = styled(Text)`
    display: block;
    margin-top: ${space.tight};
    color: var(--quiet);
    font-size: ${type.small};
`;

const Root = styled(TextField)<{ $width?: Width }>`
    width: ${widthOf};
    max-width: 100%;
    /* What is wrong needs room to be read, however short the field is. */
    &[data-invalid] { width: max(${widthOf}, 270px); }
    input, textarea { max-width: min(100%, ${({ $width }) => $width ?? '100%'}); }
`;

const StyledInput = styled(Input)`${field}`;

const StyledArea = styled(TextArea)`
    ${field}
    display: block;
    resize: vertical;
    line-height: 1.45;
`;

interface Props extends Omit<TextFieldProps, 'children' | 'isInvalid'> {
    label: string;
    /** What the server says is wrong with it. */
    problem?: string | undefined;
    hint?: ReactNode;
    placeholder?: string;
    width?: Width;
    /** Several lines. */
    lines?: number;
    inputRef?: Ref<HTMLInputElement>;
    /** Of several lines. */
    areaRef?: Ref<HTMLTextAreaElement>;
}

/** One line or a few lines of text, with what is wrong said beneath it. */
export function Field({ label, problem, hint, placeholder, width, lines, inputRef, areaRef, ...props }: Props) {
    return (
        <Root {...props} isInvalid={problem !== undefined} validationBehavior="aria" {...(width === undefined ? {} : { $width: width })}>
            {label !== '' && <FieldLabel>{label}</FieldLabel>}
            {lines === undefined
                ? <StyledInput ref={inputRef} placeholder={placeholder} />
                : <StyledArea ref={areaRef} rows={lines} placeholder={placeholder} />}
            {hint !== undefined && problem === undefined && <Hint slot="description">{hint}</Hint>}
            <Problem>{problem}</Problem>
        </Root>
    );
}
