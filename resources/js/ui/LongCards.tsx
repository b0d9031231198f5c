import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import styled from 'styled-components';
import type { Choosing } from './LongTable';
import { useRoom } from './useRoom';
import { line, print, size, space, type } from './tokens';

/** The least width of a card, and the height of each. */
const WIDE = 250;
const HIGH = 156;
const GAP = 12;

const Scroller = styled.div`
    position: relative;
    overflow: auto;
    overscroll-behavior: contain;
    ${print} { height: auto !important; overflow: visible; }
`;

const Line = styled.div`
    position: absolute;
    left: 0;
    right: 0;
    display: grid;
    gap: ${GAP}px;
    ${print} { position: static; margin-bottom: ${GAP}px; break-inside: avoid; }
`;

const Root = styled.div`
    display: grid;
    grid-template-columns: auto minmax(0, 1fr) auto;
    align-content: start;
    gap: 0 ${space.small};
    height: ${HIGH}px;
    padding: ${space.small} ${space.medium};
    overflow: hidden;
    border: ${line.rule};
    border-radius: ${size.corner};
    font-size: ${type.small};
    &[data-chosen='true'] { background: var(--accent-wash); box-shadow: ${line.chosen}; }
    &:focus-within { border-color: var(--accent); }
    > div { grid-column: 2 / -1; min-width: 0; overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
    > .figures { white-space: normal; }
    > .letters {
        grid-column: 1;
        grid-row: 1 / span 2;
        display: grid;
        place-items: center;
        width: 38px;
        height: 38px;
        border-radius: 50%;
        background: var(--wash);
        font: 600 ${type.body}/1 ${type.serif};
    }
    > .letters.company { border-radius: ${size.corner}; }
    > .head { grid-column: 2; }
    > .choose { grid-column: 3; grid-row: 1; }
    a.name { font: 600 ${type.body}/1.4 ${type.serif}; color: var(--ink); text-decoration: none; }
    a.name:hover { text-decoration: underline; }
    input[type='checkbox'] { width: 16px; height: 16px; margin: 4px 0; accent-color: var(--accent); }
    ${print} { height: auto; }
`;

interface CardProps {
    /** The letters that stand for a picture. */
    letters: string;
    isCompany: boolean;
    /** What it is called, as a link with the class "name". */
    head: ReactNode;
    children: ReactNode;
    isChosen: boolean;
    choose: ReactNode;
}

/** What is known of one of many, at a glance. */
export function Card({ letters, isCompany, head, children, isChosen, choose }: CardProps) {
    return (
        <Root role="gridcell" data-chosen={isChosen}>
            <div className={isCompany ? 'letters company' : 'letters'} aria-hidden>{letters}</div>
            <div className="head">{head}</div>
            <div className="choose">{choose}</div>
            {children}
        </Root>
    );
}

interface Props {
    label: string;
    total: number;
    card: (index: number) => ReactNode;
    onRange: (first: number, last: number) => void;
    active: number;
    onActive: (index: number) => void;
    onOpen: (index: number) => void;
    choosing?: Choosing;
    goTo?: (go: (index: number) => void) => void;
}

/** Cards of any number of things, of which those in sight are there. Keys as in a grid: arrows, Home, End, Space, Enter. */
export function LongCards({ label, total, card, onRange, active, onActive, onOpen, choosing, goTo }: Props) {
    const scroller = useRef<HTMLDivElement>(null);
    const { width: room, height } = useRoom(scroller, 0, total);
    const across = room === 0 ? 3 : Math.max(1, Math.floor((room + GAP) / (WIDE + GAP)));
    const [, redraw] = useState(0);
    const wantsFocus = useRef(false);
    const rows = Math.ceil(total / across);
    // eslint-disable-next-line react-hooks/incompatible-library -- it is not handed on
    const lines = useVirtualizer({
        count: rows,
        getScrollElement: () => scroller.current,
        estimateSize: () => HIGH + GAP,
        overscan: 4,
    });
    const shown = lines.getVirtualItems();
    const first = (shown[0]?.index ?? 0) * across;
    const last = Math.min(total - 1, ((shown.at(-1)?.index ?? 0) + 1) * across - 1);
    useEffect(() => onRange(first, Math.max(first, last)), [first, last, onRange]);

    useEffect(() => {
        if (wantsFocus.current) {
            const link = scroller.current?.querySelector<HTMLElement>(`[data-index="${active}"] a.name`);
            if (link != null) {
                wantsFocus.current = false;
                link.focus({ preventScroll: true });
            }
        }
    });

    const move = (to: number) => {
        const next = Math.min(total - 1, Math.max(0, to));
        wantsFocus.current = true;
        redraw((times) => times + 1);
        lines.scrollToIndex(Math.floor(next / across));
        onActive(next);
    };
    useEffect(() => goTo?.(move));

    const onKeyDown = (event: KeyboardEvent) => {
        const steps: Record<string, number> = {
            ArrowRight: 1, ArrowLeft: -1, ArrowDown: across, ArrowUp: -across, Home: -total, End: total,
        };
        const step = steps[event.key];
        if (step !== undefined && !event.altKey) {
            event.preventDefault();
            move(active + step);
            if (event.shiftKey) {
                choosing?.reach(Math.min(total - 1, Math.max(0, active + step)));
            }
        } else if (event.key === ' ' && choosing !== undefined) {
            event.preventDefault();
            choosing.toggle(active);
        } else if (event.key === 'a' && (event.ctrlKey || event.metaKey) && choosing !== undefined) {
            event.preventDefault();
            choosing.all(true);
        } else if (event.key === 'Escape' && choosing?.isSome === true) {
            event.preventDefault();
            choosing.all(false);
        } else if (event.key === 'Enter' && !event.ctrlKey && (event.target as HTMLElement).classList.contains('name')) {
            event.preventDefault();
            onOpen(active);
        }
    };

    return (
        <Scroller ref={scroller} style={{ height: Math.min(height, rows * (HIGH + GAP)) }}>
            <div
                role="grid"
                aria-label={label}
                aria-rowcount={rows}
                {...(choosing === undefined ? {} : { 'aria-multiselectable': true })}
                onKeyDown={onKeyDown}
                style={{ height: lines.getTotalSize() }}
            >
                {shown.map((item) => (
                    <Line
                        key={item.key}
                        role="row"
                        aria-rowindex={item.index + 1}
                        style={{ transform: `translateY(${item.start}px)`, gridTemplateColumns: `repeat(${across}, minmax(0, 1fr))` }}
                    >
                        {Array.from({ length: Math.min(across, total - item.index * across) }, (_, at) => {
                            const index = item.index * across + at;
                            return (
                                <div key={index} role="presentation" data-index={index} onFocus={() => index !== active && onActive(index)}>
                                    {card(index)}
                                </div>
                            );
                        })}
                    </Line>
                ))}
            </div>
        </Scroller>
    );
}
