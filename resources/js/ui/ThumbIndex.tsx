import styled from 'styled-components';
import { narrow, print, size, type } from './tokens';

const Edge = styled.nav`
    display: flex;
    flex-direction: column;
    justify-content: space-between;
    align-self: stretch;
    max-height: 620px;
    overflow: hidden;
    button {
        min-width: ${size.target};
        min-height: 15px;
        flex: 0 1 ${size.target};
        padding: 0;
        border: 0;
        border-radius: 2px;
        background: none;
        color: var(--accent);
        font: 500 ${type.small}/1 ${type.sans};
        cursor: pointer;
    }
    button:hover { background: var(--wash); }
    ${narrow} { display: none; }
    ${print} { display: none; }
`;

interface Props {
    letters: { letter: string; at: number; many: number }[];
    onGo: (at: number) => void;
}

/** The letters that names begin with, at the edge, as cut into the pages of a reference book. */
export function ThumbIndex({ letters, onGo }: Props) {
    return (
        <Edge aria-label="Letters">
            {letters.map(({ letter, at, many }) => (
                <button key={letter} type="button" aria-label={`Names in ${letter}: ${many}`} onClick={() => onGo(at)}>{letter}</button>
            ))}
        </Edge>
    );
}
