import styled from 'styled-components';
import { line, size, space } from './tokens';

/** Parts of a whole, each to be opened or taken out. */
export const Pieces = styled.ul`
    display: inline-flex;
    flex-wrap: wrap;
    gap: ${space.tight};
    margin: 0;
    padding: 0;
    list-style: none;
`;

export const Piece = styled.li`
    display: inline-flex;
    align-items: center;
    min-height: ${size.target};
    padding-left: ${space.tight};
    border: ${line.rule};
    border-radius: ${size.corner};
    background: var(--wash);
`;
