import styled from 'styled-components';

/** Modules of light around a code: ISO/IEC 18004 asks for four. */
const QUIET_ZONE = 4;

const Code = styled.svg`
    width: 220px;
    height: 220px;
    /* Readers want dark on light, by lamp light too. */
    background: #fff;
    color: #000;
`;

/** A QR code from its rows of 0 (light) and 1 (dark). */
export function QrCode({ rows, label }: { rows: string[]; label: string }) {
    const size = rows.length + 2 * QUIET_ZONE;
    const path = rows.flatMap((row, y) => [...row].flatMap((module, x) => (
        module === '1' ? [`M${x + QUIET_ZONE} ${y + QUIET_ZONE}h1v1h-1z`] : []
    ))).join('');
    return <Code role="img" aria-label={label} viewBox={`0 0 ${size} ${size}`} shapeRendering="crispEdges"><path d={path} fill="currentColor" /></Code>;
}
