import { useRef, type PointerEvent } from 'react';
import styled from 'styled-components';
import { QuietButton } from './Button';
import { Hidden } from './Text';
import { line, size } from './tokens';

const Edge = styled.span`
    position: absolute;
    top: 6px;
    right: 2px;
    bottom: 6px;
    width: ${size.target};
    margin-right: -10px;
    cursor: col-resize;
    touch-action: none;
    &::after { content: ''; position: absolute; inset: 0 50% 0 auto; border-right: ${line.rule}; }
    &:focus-visible { outline: ${line.focus}; outline-offset: -6px; }
`;

export interface LongColumn {
    key: string;
    title: string;
    isFigure: boolean;
    isSorted: boolean;
    /** Sorted from the largest or the latest where it is not reversed. */
    isFromTop: boolean;
    width: number;
}

export interface SortedBy {
    key: string;
    isReversed: boolean;
}

interface HeadingProps {
    column: LongColumn;
    sort: SortedBy[];
    onSort: (key: string, isMore: boolean) => void;
    onWidth: ((key: string, width: number) => void) | undefined;
}

/** The heading of a column: pressed, it turns the list round; its edge is drawn. */
export function LongHeading({ column, sort, onSort, onWidth }: HeadingProps) {
    const at = sort.findIndex(({ key }) => key === column.key);
    const isDown = at !== -1 && column.isFromTop !== (sort[at]?.isReversed ?? false);
    const isMore = useRef(false);
    return (
        <th
            className={column.isFigure ? 'figure' : ''}
            aria-sort={at === -1 ? 'none' : isDown ? 'descending' : 'ascending'}
            onPointerDownCapture={(event) => { isMore.current = event.shiftKey; }}
            onKeyDownCapture={(event) => { isMore.current = event.shiftKey; }}
        >
            {column.isSorted ? (
                <QuietButton onPress={() => onSort(column.key, isMore.current)}>
                    {column.title}
                    {at !== -1 && <span aria-hidden>{isDown ? '↓' : '↑'}{sort.length > 1 && at + 1}</span>}
                    {at !== -1 && sort.length > 1 && <Hidden>, {at + 1} of {sort.length}</Hidden>}
                </QuietButton>
            ) : column.title}
            {onWidth !== undefined && <WidthEdge column={column} onWidth={onWidth} />}
        </th>
    );
}

const NARROWEST = 60;

const STEP = 20;

/** The edge of a column: drawn by the pointer, or moved by the arrow keys. */
function WidthEdge({ column, onWidth }: { column: LongColumn; onWidth: (key: string, width: number) => void }) {
    const begun = useRef<{ x: number; width: number }>(undefined);
    const set = (width: number) => onWidth(column.key, Math.max(NARROWEST, Math.min(800, Math.round(width))));
    const drag = (event: PointerEvent) => {
        if (begun.current !== undefined) {
            set(begun.current.width + event.clientX - begun.current.x);
        }
    };
    return (
        <Edge
            role="separator"
            aria-orientation="vertical"
            aria-label={`Width of ${column.title}`}
            aria-valuenow={column.width}
            aria-valuemin={NARROWEST}
            aria-valuemax={800}
            tabIndex={0}
            onPointerDown={(event) => {
                event.preventDefault();
                begun.current = { x: event.clientX, width: column.width };
                event.currentTarget.setPointerCapture(event.pointerId);
            }}
            onPointerMove={drag}
            onPointerUp={() => { begun.current = undefined; }}
            onKeyDown={(event) => {
                const step = event.key === 'ArrowRight' ? STEP : event.key === 'ArrowLeft' ? -STEP : 0;
                if (step !== 0) {
                    event.preventDefault();
                    event.stopPropagation();
                    set(column.width + step);
                }
            }}
        />
    );
}
