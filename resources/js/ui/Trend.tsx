import styled from 'styled-components';
import { line, type } from './tokens';

const WIDTH = 860;
const HEIGHT = 190;
const EDGE = { left: 12, right: 12, top: 30, bottom: 26 };

const Root = styled.svg`
    display: block;
    width: 100%;
    max-width: ${WIDTH}px;
    border-bottom: ${line.rule};
    polyline { fill: none; stroke: var(--accent); stroke-width: 2; stroke-linejoin: round; }
    polyline.other { stroke: var(--look); stroke-dasharray: 6 4; }
    circle { fill: var(--accent); }
    circle.other { fill: var(--look); }
    text { fill: var(--quiet); font: 400 ${type.small}/1 ${type.sans}; }
    line { stroke: var(--rule); }
`;

interface Series {
    name: string;
    values: number[];
    /** As they are read. */
    texts: string[];
}

/** How something goes over time: one line, or two beside each other. What it says stands in a table too. */
export function Trend({ label, steps, series }: { label: string; steps: string[]; series: [Series] | [Series, Series] }) {
    const all = series.flatMap(({ values }) => values);
    const [least, most] = [Math.min(0, ...all), Math.max(1, ...all)];
    const x = (at: number) => EDGE.left + at * (WIDTH - EDGE.left - EDGE.right) / Math.max(1, steps.length - 1);
    const y = (value: number) => HEIGHT - EDGE.bottom - (value - least) * (HEIGHT - EDGE.top - EDGE.bottom) / (most - least);
    const every = Math.max(1, Math.ceil(steps.length / 7));
    return (
        <Root viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={label}>
            <line x1={EDGE.left} x2={WIDTH - EDGE.right} y1={y(0)} y2={y(0)} />
            {series.map(({ name, values, texts }, n) => (
                <g key={name}>
                    <polyline className={n === 0 ? '' : 'other'} points={values.map((value, at) => `${x(at)},${y(value)}`).join(' ')} />
                    {values.map((value, at) => (
                        <circle key={steps[at]} className={n === 0 ? '' : 'other'} cx={x(at)} cy={y(value)} r={3}>
                            <title>{`${steps[at] ?? ''}: ${name} ${texts[at] ?? ''}`}</title>
                        </circle>
                    ))}
                </g>
            ))}
            {series.length > 1 && series.map(({ name }, n) => (
                <g key={name} transform={`translate(${EDGE.left + n * 160} 8)`}>
                    <polyline className={n === 0 ? '' : 'other'} points="0,0 28,0" />
                    <text x={36} y={4}>{name}</text>
                </g>
            ))}
            {steps.map((step, at) => at % every === 0 && (
                <text key={step} x={x(at)} y={HEIGHT - 6} textAnchor={at === 0 ? 'start' : at > steps.length - 2 ? 'end' : 'middle'}>{step}</text>
            ))}
        </Root>
    );
}
