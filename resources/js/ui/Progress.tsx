import { ProgressBar } from 'react-aria-components';
import styled from 'styled-components';
import { Small } from './Text';
import { line, size } from './tokens';

const Bar = styled(ProgressBar)`
    display: flex;
    align-items: center;
    gap: 10px;
    max-width: 460px;
    .track { flex: 1; height: 8px; border: ${line.edge}; border-radius: ${size.corner}; overflow: hidden; background: var(--sheet); }
    .done { height: 100%; background: var(--accent); }
`;

/** How far long work has come. */
export function Progress({ label, done, of }: { label: string; done: number; of: number }) {
    return (
        <Bar aria-label={label} value={done} maxValue={Math.max(1, of)}>
            {({ percentage }) => (
                <>
                    <div className="track"><div className="done" style={{ width: `${percentage ?? 0}%` }} /></div>
                    <Small>{done.toLocaleString('en')} of {of.toLocaleString('en')}</Small>
                </>
            )}
        </Bar>
    );
}
