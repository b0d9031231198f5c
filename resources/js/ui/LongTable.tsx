import { useVirtualizer } from '@tanstack/react-virtual';
import {
    Fragment, useEffect, useRef, useState, type KeyboardEvent, type MouseEvent, type ReactNode,
} from 'react';
import styled from 'styled-components';
import { LongHeading, type LongColumn, type SortedBy } from './LongHeading';
import { useRoom } from './useRoom';
import { line, print, space, type } from './tokens';

const TICK = 30;

/** So narrow a column of words becomes before the table is wider than its place. */
const SHORTEST = 56;

/** Where there is less room than the columns are wide, words give way to figures. */
function fitted(columns: LongColumn[], room: number): number[] {
    const sum = (some: LongColumn[]) => some.reduce((all, { width }) => all + width, 0);
    const words = sum(columns.filter(({ isFigure }) => !isFigure));
    const left = room - sum(columns.filter(({ isFigure }) => isFigure));
    return columns.map(({ isFigure, width }) => room <= 0 || isFigure || words <= left
        ? width
        : Math.min(width, Math.max(SHORTEST, Math.floor(width * left / words))));
}

/** As high as a line of text with a hair above and below. */
const ROW = 35;

const Scroller = styled.div`
    position: relative;
    overflow: auto;
    overscroll-behavior: contain;
    ${print} { height: auto !important; overflow: visible; }
`;

const Grid = styled.table`
    border-collapse: separate;
    border-spacing: 0;
    table-layout: fixed;
    min-width: 100%;

    th, td { height: ${ROW}px; padding: 0 ${space.medium} 0 0; border-bottom: ${line.rule}; text-align: left; white-space: nowrap; }
    th, td { overflow: hidden; text-overflow: ellipsis; }
    thead th { position: sticky; top: 0; z-index: 2; background: var(--sheet); }
    thead th { color: var(--quiet); font-size: ${type.small}; font-weight: 500; }
    th.figure, td.figure { text-align: right; }
    td.tick, th.tick { width: 30px; padding: 0 0 0 ${space.tight}; }
    td.stop { color: var(--stop); }
    th button { margin: 0 0 0 -6px; font-size: inherit; }
    th.figure button { margin: 0 -6px 0 0; }
    tbody tr:hover, tbody tr:focus-within { background: var(--wash); }
    tbody tr[aria-selected='true'] { background: var(--accent-wash); box-shadow: ${line.chosen}; }
    tbody tr.space td { height: auto; padding: 0; border: 0; }
    tbody tr.space:hover { background: none; }
    a.name { font-family: ${type.serif}; font-weight: 500; color: var(--ink); text-decoration: none; }
    a.name:hover { text-decoration: underline; }
    input[type='checkbox'] { width: 16px; height: 16px; margin: 0; vertical-align: middle; accent-color: var(--accent); }
    ${print} {
        table-layout: auto;
        th, td { white-space: normal; height: auto; }
        thead th { position: static; }
        .tick { display: none; }
    }
`;

/** What is chosen in a list of which only a part has been read. */
export interface Choosing {
    has: (index: number) => boolean;
    isAll: boolean;
    isSome: boolean;
    toggle: (index: number) => void;
    /** All from the one that was chosen last. */
    reach: (index: number) => void;
    all: (isChosen: boolean) => void;
}

interface Props {
    label: string;
    columns: LongColumn[];
    total: number;
    /** Whether the line has come; which it is. */
    idOf: (index: number) => number | undefined;
    cell: (index: number, column: LongColumn) => ReactNode;
    /** What the line is called, for choosing it. */
    nameOf: (index: number) => string;
    onRange: (first: number, last: number) => void;
    sort: SortedBy[];
    onSort: (key: string, isMore: boolean) => void;
    onWidth?: (key: string, width: number) => void;
    active: number;
    onActive: (index: number) => void;
    onOpen: (index: number) => void;
    choosing?: Choosing;
    /** What stands below it and is to be in sight too, in pixels. */
    below?: number;
    /** Is given the way to a line, for an index beside the table. */
    goTo?: (go: (index: number) => void) => void;
}

/**
 * A table of any number of lines, of which those in sight are there: the bar at its side is as long as all of them
 * make it. Keys as in the WAI-ARIA grid pattern: arrows, page keys, Home and End move; Space chooses, with Shift and
 * an arrow all on the way; Ctrl+A chooses everything that the list holds.
 */
export function LongTable(props: Props) {
    const { label, columns, total, idOf, cell, nameOf, onRange, sort, onSort, onWidth, active, onActive, onOpen, choosing, goTo } = props;
    const { below = 0 } = props;
    const scroller = useRef<HTMLDivElement>(null);
    const { width: room, height: most } = useRoom(scroller, below, total);
    const height = Math.min((total + 1) * ROW + 18, most);
    // The line that is to have the keyboard may be the active one already.
    const [, redraw] = useState(0);
    const wantsFocus = useRef(false);
    const isPrinted = usePrinting();
    // eslint-disable-next-line react-hooks/incompatible-library -- it is not handed on
    const lines = useVirtualizer({
        count: total,
        getScrollElement: () => scroller.current,
        estimateSize: () => ROW,
        overscan: 10,
        scrollPaddingStart: ROW,
        // The line that has the keyboard stays, wherever the bar is.
        rangeExtractor: ({ startIndex, endIndex, overscan, count }) => {
            const first = Math.max(0, startIndex - overscan);
            const last = Math.min(count - 1, endIndex + overscan);
            const shown = Array.from({ length: Math.max(0, last - first + 1) }, (_, at) => first + at);
            return active < first && active >= 0 ? [active, ...shown] : active > last && active < count ? [...shown, active] : shown;
        },
    });
    const shown = lines.getVirtualItems();
    const first = shown.find(({ index }) => index !== active)?.index ?? 0;
    const last = shown.findLast(({ index }) => index !== active)?.index ?? 0;

    useEffect(() => onRange(first, last), [first, last, onRange]);

    useEffect(() => {
        goTo?.((index) => {
            wantsFocus.current = true;
            redraw((times) => times + 1);
            lines.scrollToIndex(index, { align: Math.abs(index - active) > 1 ? 'start' : 'auto' });
            onActive(index);
        });
    });

    useEffect(() => {
        if (wantsFocus.current) {
            const link = scroller.current?.querySelector<HTMLElement>(`tr[data-index="${active}"] a.name`);
            if (link != null) {
                wantsFocus.current = false;
                link.focus({ preventScroll: true });
            }
        }
    });

    const move = (to: number, isReaching: boolean) => {
        const next = Math.min(total - 1, Math.max(0, to));
        wantsFocus.current = true;
        if (isReaching) {
            choosing?.reach(next);
        }
        lines.scrollToIndex(next);
        onActive(next);
    };

    const onKeyDown = (event: KeyboardEvent) => {
        const page = Math.max(1, Math.floor(height / ROW) - 2);
        const steps: Record<string, number> = { ArrowDown: 1, ArrowUp: -1, PageDown: page, PageUp: -page, Home: -total, End: total };
        const step = steps[event.key];
        if ((event.target as HTMLElement).closest('thead') !== null) {
            return;
        }
        if (step !== undefined && !event.altKey) {
            event.preventDefault();
            move(active + step, event.shiftKey);
        } else if (event.key === ' ' && choosing !== undefined) {
            event.preventDefault();
            if (event.shiftKey) {
                choosing.reach(active);
            } else {
                choosing.toggle(active);
            }
        } else if (event.key === 'a' && (event.ctrlKey || event.metaKey) && choosing !== undefined) {
            event.preventDefault();
            choosing.all(true);
        } else if (event.key === 'Escape' && choosing?.isSome === true) {
            event.preventDefault();
            choosing.all(false);
        } else if (event.key === 'Enter' && !event.ctrlKey) {
            event.preventDefault();
            onOpen(active);
        }
    };

    const ticks = choosing === undefined ? 0 : TICK;
    const widths = fitted(columns, room - ticks);
    const width = widths.reduce((sum, wide) => sum + wide, ticks);
    let end = 0;
    return (
        <Scroller ref={scroller} style={{ height: isPrinted ? undefined : height }}>
            <Grid
                role="grid"
                aria-label={label}
                aria-rowcount={total + 1}
                {...(choosing === undefined ? {} : { 'aria-multiselectable': true })}
                style={{ width }}
                onKeyDown={onKeyDown}
            >
                <colgroup>
                    {choosing !== undefined && <col style={{ width: TICK }} />}
                    {columns.map(({ key }, at) => <col key={key} style={{ width: widths[at] }} />)}
                </colgroup>
                <thead>
                    <tr aria-rowindex={1}>
                        {choosing !== undefined && (
                            <th className="tick">
                                <input
                                    type="checkbox"
                                    aria-label="Choose all"
                                    checked={choosing.isAll}
                                    ref={(box) => { if (box !== null) { box.indeterminate = choosing.isSome && !choosing.isAll; } }}
                                    onChange={(event) => choosing.all(event.target.checked)}
                                />
                            </th>
                        )}
                        {columns.map((column) => (
                            <LongHeading key={column.key} column={column} sort={sort} onSort={onSort} onWidth={onWidth} />
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {shown.map((item) => {
                        const before = item.start - end;
                        end = item.end;
                        const id = idOf(item.index);
                        const isChosen = choosing?.has(item.index) ?? false;
                        return (
                            <Fragment key={item.index}>
                                {before > 0 && (
                                    <tr className="space" aria-hidden>
                                        <td colSpan={columns.length + 1} style={{ height: before }} />
                                    </tr>
                                )}
                                <tr
                                    data-index={item.index}
                                    aria-rowindex={item.index + 2}
                                    {...(choosing === undefined ? {} : { 'aria-selected': isChosen })}
                                    onClick={(event) => onClick(event, item.index)}
                                    onFocus={() => item.index !== active && onActive(item.index)}
                                >
                                    {choosing !== undefined && (
                                        <td className="tick">
                                            {id !== undefined && (
                                                <input
                                                    type="checkbox"
                                                    tabIndex={-1}
                                                    aria-label={`Choose ${nameOf(item.index)}`}
                                                    checked={isChosen}
                                                    onChange={() => undefined}
                                                    onClick={(event) => {
                                                        event.stopPropagation();
                                                        if (event.shiftKey) {
                                                            choosing.reach(item.index);
                                                        } else {
                                                            choosing.toggle(item.index);
                                                        }
                                                    }}
                                                />
                                            )}
                                        </td>
                                    )}
                                    {columns.map((column) => (
                                        <td key={column.key} className={column.isFigure ? 'figure' : ''}>
                                            {id === undefined ? null : cell(item.index, column)}
                                        </td>
                                    ))}
                                </tr>
                            </Fragment>
                        );
                    })}
                    {lines.getTotalSize() > end && (
                        <tr className="space" aria-hidden>
                            <td colSpan={columns.length + 1} style={{ height: lines.getTotalSize() - end }} />
                        </tr>
                    )}
                </tbody>
            </Grid>
        </Scroller>
    );

    function onClick(event: MouseEvent, index: number) {
        if ((event.target as HTMLElement).closest('a, button, input') !== null) {
            return;
        }
        if (choosing !== undefined && (event.shiftKey || event.ctrlKey || event.metaKey)) {
            event.preventDefault();
            if (event.shiftKey) {
                choosing.reach(index);
            } else {
                choosing.toggle(index);
            }
        }
        wantsFocus.current = true;
        onActive(index);
    }
}

/** While the page is printed, it is as high as it is. */
function usePrinting(): boolean {
    const [isPrinted, setPrinted] = useState(false);
    useEffect(() => {
        const media = window.matchMedia('print');
        const onChange = () => setPrinted(media.matches);
        media.addEventListener('change', onChange);
        return () => media.removeEventListener('change', onChange);
    }, []);
    return isPrinted;
}
