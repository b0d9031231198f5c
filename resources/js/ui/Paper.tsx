import styled from 'styled-components';
import { line, print, space, type } from './tokens';

/** A sheet of paper as it will be printed, to be read through. */
export const Paper = styled.article`
    display: grid;
    align-content: start;
    gap: ${space.medium};
    min-height: 20em;
    padding: ${space.large};
    border: ${line.rule};
    background: var(--sheet);
    white-space: pre-line;
    overflow-wrap: anywhere;
    font: ${type.body}/1.5 ${type.serif};
    ${print} { padding: 0; border: 0; }
`;
