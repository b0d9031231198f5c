import styled from 'styled-components';
import { line, size } from './tokens';

const Track = styled.div`
    width: 120px;
    height: 10px;
    border-left: ${line.edge};
    > div { height: 100%; min-width: 1px; border-radius: 0 ${size.corner} ${size.corner} 0; background: var(--accent); }
`;

/** How large a part is, beside the figure that says it. */
export function Bar({ part, of }: { part: number; of: number }) {
    return <Track aria-hidden><div style={{ width: `${Math.round(100 * part / of)}%` }} /></Track>;
}
