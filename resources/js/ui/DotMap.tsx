import { geoMercator, geoPath } from 'd3-geo';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import styled from 'styled-components';
import { middleOfShape, readAtlas } from './atlas';
import { Button, QuietButton } from './Button';
import { Row, Small } from './Text';
import { line, size, type } from './tokens';
import { useRoom } from './useRoom';

/** As wide as there is room, and so high of that. */
const HIGH = 0.43;
const LEAST = 300;
const FAR = 130;
const NEAR = 400_000;
/** Dots nearer than so many pixels become one. */
const GATHERED = 52;

const Sea = styled.svg`
    display: block;
    width: 100%;
    border: ${line.rule};
    background: var(--wash);
    touch-action: none;
    cursor: grab;
    &.draws { cursor: crosshair; }
    &:focus-visible { outline: ${line.focus}; }
    path { fill: var(--sheet); stroke: var(--edge); stroke-width: 0.6; vector-effect: non-scaling-stroke; }
    path.state { fill: none; stroke-width: 0.4; }
    rect.drawn { fill: var(--accent-wash); fill-opacity: 0.6; stroke: var(--accent); }
    a { cursor: pointer; outline: none; }
    a circle, a rect { fill: var(--accent); stroke: var(--sheet); stroke-width: 1.5; }
    a:focus-visible circle, a:focus-visible rect { stroke: var(--ink); stroke-width: 3; }
    a text { fill: var(--on-accent); font: 600 ${type.small}/1 ${type.sans}; text-anchor: middle; dominant-baseline: central; pointer-events: none; }
`;

const Root = styled.div`
    display: grid;
    gap: 6px;
    min-width: 0;
    button { min-height: ${size.target}; }
`;

/** South-west and north-east, in degrees. */
interface Rectangle {
    south: number;
    west: number;
    north: number;
    east: number;
}

export interface Dot {
    key: string;
    latitude: number;
    longitude: number;
    many: number;
    /** Whether only the middle of its country or state is known. */
    isArea: boolean;
    label: string;
    href: string;
}

/** As it stands in a sentence. */
function textOf({ south, west, north, east }: Rectangle): string {
    const degrees = (of: number, positive: string, negative: string) => `${Number(Math.abs(of).toFixed(4))}${of < 0 ? negative : positive}`;
    const corner = (latitude: number, longitude: number) => `${degrees(latitude, 'N', 'S')} ${degrees(longitude, 'E', 'W')}`;
    return `${corner(south, west)} to ${corner(north, east)}`;
}

/** What is in sight, in whole steps, so that a small move asks for nothing new; empty where it is most of the earth. */
function sightOf(inside: Rectangle, nearness: number): string {
    const step = 32 / 2 ** nearness;
    const bound = (of: number, most: number) => Math.max(-most, Math.min(most, of));
    const [down, up] = [(of: number) => Math.floor(of / step) * step, (of: number) => Math.ceil(of / step) * step];
    return inside.east - inside.west > 120 ? '' : textOf({
        south: bound(down(inside.south), 90),
        west: bound(down(inside.west), 180),
        north: bound(up(inside.north), 90),
        east: bound(up(inside.east), 180),
    });
}

/** Where the middle of a country lies, by its number in ISO 3166-1, or that of a state of the USA, by its name. */
export function middleOf(country: string, state: string): [number, number] | undefined {
    const { countries, states } = readAtlas();
    const shape = states.find(({ name }) => name === state) ?? countries.find(({ id }) => Number(id) === Number(country));
    return shape === undefined || country === '' ? undefined : middleOfShape(shape);
}

interface View {
    longitude: number;
    latitude: number;
    scale: number;
}

/** So that all of them are in sight. */
function around(dots: readonly Dot[], width: number, height: number): View {
    if (dots.length === 0) {
        return { longitude: -40, latitude: 40, scale: FAR };
    }
    const of = (values: number[]) => [Math.min(...values), Math.max(...values)] as const;
    const [west, east] = of(dots.map(({ longitude }) => longitude));
    const [south, north] = of(dots.map(({ latitude }) => latitude));
    const projection = geoMercator().fitExtent(
        [[width / 16, height / 9], [width * 15 / 16, height * 8 / 9]],
        { type: 'MultiPoint', coordinates: [[west - 0.2, south - 0.2], [east + 0.2, north + 0.2]] },
    );
    const middle = projection.invert?.([width / 2, height / 2]) ?? [0, 30];
    return { longitude: middle[0], latitude: middle[1], scale: Math.min(20_000, Math.max(FAR, projection.scale())) };
}

interface Props {
    dots: readonly Dot[];
    onOpen: (href: string) => void;
    /** Its corners, as they stand in a sentence. */
    onRectangle: (inside: string) => void;
    /** How near dots are that become one, 1 by 8 degrees and each one more by half of it; and the corners of what is in sight. */
    onView: (nearness: number, inside: string) => void;
}

/**
 * A map that ships with the program, with dots. Drawn with the pointer it moves; with the arrow keys, plus and minus it
 * moves and comes nearer. Where a rectangle is to be drawn, the pointer draws it.
 */
export function DotMap({ dots, onOpen, onRectangle, onView }: Props) {
    const svg = useRef<SVGSVGElement>(null);
    const width = useRoom(svg).width || 1000;
    const height = Math.max(LEAST, Math.round(width * HIGH));
    const [view, setView] = useState<View>(() => around(dots, width, height));
    const [draws, setDraws] = useState(false);
    const [drawn, setDrawn] = useState<{ from: [number, number]; to: [number, number] }>();
    const held = useRef<{ at: [number, number]; view: View }>(undefined);
    const projection = useMemo(
        () => geoMercator().center([view.longitude, view.latitude]).scale(view.scale).translate([width / 2, height / 2])
            .clipExtent([[-20, -20], [width + 20, height + 20]]),
        [view, width, height],
    );
    const land = useMemo(() => {
        const path = geoPath(projection);
        const { countries, states } = readAtlas();
        const paths = (of: typeof countries) => of.map(({ name, geometry }) => ({ name, d: path(geometry) ?? '' })).filter(({ d }) => d !== '');
        return { countries: paths(countries), states: view.scale > 400 ? paths(states) : [] };
    }, [projection, view.scale]);
    const degrees = (point: [number, number]) => projection.invert?.(point) ?? [0, 0];
    const inside = (a: [number, number], b: [number, number]): Rectangle => {
        const [west, north] = degrees([Math.min(a[0], b[0]), Math.min(a[1], b[1])]);
        const [east, south] = degrees([Math.max(a[0], b[0]), Math.max(a[1], b[1])]);
        const bound = (value: number, most: number) => Math.max(-most, Math.min(most, value));
        return { south: bound(south, 85), west: bound(west, 180), north: bound(north, 85), east: bound(east, 180) };
    };
    const whole = inside([0, 0], [width, height]);
    const nearness = Math.max(1, Math.min(12, Math.round(Math.log2(16 / (GATHERED * 180 / (Math.PI * view.scale))))));
    const sight = sightOf(whole, nearness);
    useEffect(() => {
        const rest = setTimeout(() => onView(nearness, sight), 150);
        return () => clearTimeout(rest);
    }, [nearness, sight, onView]);
    const narrow = (rectangle: Rectangle) => {
        if (rectangle.north > rectangle.south && rectangle.east > rectangle.west) {
            onRectangle(textOf(rectangle));
        }
    };

    const move = (x: number, y: number, from = view) => {
        const of = geoMercator().center([from.longitude, from.latitude]).scale(from.scale).translate([width / 2, height / 2]);
        const [longitude, latitude] = of.invert?.([width / 2 - x, height / 2 - y]) ?? [0, 0];
        setView({ ...from, longitude, latitude: Math.max(-75, Math.min(80, latitude)) });
    };
    const zoom = (by: number) => setView({ ...view, scale: Math.max(FAR, Math.min(NEAR, view.scale * by)) });
    const at = (event: PointerEvent): [number, number] => {
        const box = svg.current?.getBoundingClientRect();
        return box === undefined
            ? [0, 0]
            : [(event.clientX - box.left) * width / box.width, (event.clientY - box.top) * height / box.height];
    };
    const onKeyDown = (event: KeyboardEvent) => {
        const keys: Record<string, () => void> = {
            '+': () => zoom(1.6), '=': () => zoom(1.6), '-': () => zoom(1 / 1.6),
            ArrowLeft: () => move(80, 0), ArrowRight: () => move(-80, 0), ArrowUp: () => move(0, 80), ArrowDown: () => move(0, -80),
        };
        const key = keys[event.key];
        if (key !== undefined && !event.ctrlKey && !event.altKey && !event.metaKey) {
            event.preventDefault();
            event.stopPropagation();
            key();
        } else if (event.key === 'Escape' && draws) {
            event.preventDefault();
            setDraws(false);
            setDrawn(undefined);
        }
    };

    return (
        <Root>
            <Row $gap="small" className="internal">
                <Button onPress={() => zoom(1.6)} aria-label="Nearer">+</Button>
                <Button onPress={() => zoom(1 / 1.6)} aria-label="Farther">−</Button>
                <QuietButton onPress={() => setView(around(dots, width, height))}>All of them</QuietButton>
                <QuietButton aria-pressed={draws} onPress={() => setDraws(!draws)}>{draws ? 'Draw it now, or press Esc' : 'Draw a rectangle'}</QuietButton>
                <QuietButton onPress={() => narrow(whole)}>Only what is in sight</QuietButton>
            </Row>
            <Sea
                ref={svg}
                viewBox={`0 0 ${width} ${height}`}
                role="group"
                aria-label="A map. The arrow keys move it, plus and minus bring it nearer."
                tabIndex={0}
                className={draws ? 'draws' : ''}
                onKeyDown={onKeyDown}
                onPointerDown={(event) => {
                    if ((event.target as Element).closest('a') !== null) {
                        return;
                    }
                    event.currentTarget.setPointerCapture(event.pointerId);
                    if (draws) {
                        setDrawn({ from: at(event), to: at(event) });
                    } else {
                        held.current = { at: at(event), view };
                    }
                }}
                onPointerMove={(event) => {
                    if (drawn !== undefined) {
                        setDrawn({ ...drawn, to: at(event) });
                    } else if (held.current !== undefined) {
                        const [x, y] = at(event);
                        move(x - held.current.at[0], y - held.current.at[1], held.current.view);
                    }
                }}
                onPointerUp={() => {
                    held.current = undefined;
                    if (drawn !== undefined) {
                        const { from, to } = drawn;
                        setDrawn(undefined);
                        setDraws(false);
                        // A press is no rectangle.
                        if (Math.abs(from[0] - to[0]) > 4 && Math.abs(from[1] - to[1]) > 4) {
                            narrow(inside(from, to));
                        }
                    }
                }}
                onPointerCancel={() => {
                    held.current = undefined;
                    setDrawn(undefined);
                }}
            >
                {land.countries.map(({ name, d }) => <path key={name} d={d} />)}
                {land.states.map(({ name, d }) => <path key={name} className="state" d={d} />)}
                {dots.map((dot) => {
                    const point = projection([dot.longitude, dot.latitude]);
                    if (point === null || point[0] < -20 || point[1] < -20 || point[0] > width + 20 || point[1] > height + 20) {
                        return null;
                    }
                    const radius = dot.many === 1 ? 7 : Math.min(24, 9 + 3 * Math.log2(dot.many));
                    return (
                        <g key={dot.key} transform={`translate(${point[0]} ${point[1]})`}>
                            <a
                                href={dot.href}
                                aria-label={dot.label}
                                onClick={(event) => {
                                    if (!event.ctrlKey && !event.metaKey && !event.shiftKey) {
                                        event.preventDefault();
                                        onOpen(dot.href);
                                    }
                                }}
                            >
                                <title>{dot.label}</title>
                                {dot.isArea
                                    ? <rect x={-radius} y={-radius} width={2 * radius} height={2 * radius} rx={3} />
                                    : <circle r={radius} />}
                                {dot.many > 1 && <text>{dot.many > 999 ? `${Math.round(dot.many / 1000)}k` : dot.many}</text>}
                            </a>
                        </g>
                    );
                })}
                {drawn !== undefined && (
                    <rect
                        className="drawn"
                        x={Math.min(drawn.from[0], drawn.to[0])}
                        y={Math.min(drawn.from[1], drawn.to[1])}
                        width={Math.abs(drawn.from[0] - drawn.to[0])}
                        height={Math.abs(drawn.from[1] - drawn.to[1])}
                    />
                )}
            </Sea>
            <Small>Round: by the ZIP code. Square: only the country or the state is known, and it stands in its middle.</Small>
        </Root>
    );
}
