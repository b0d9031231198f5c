import { useState, type ReactNode } from 'react';
import { Button } from './Button';

interface Props<T> {
    items: readonly T[];
    /** What they are, for the button: "people". */
    noun: string;
    render: (item: T) => ReactNode;
    atOnce?: number;
}

/** A list that shows its beginning, and the rest when asked. */
export function LongList<T>({ items, noun, render, atOnce = 20 }: Props<T>) {
    const [shown, setShown] = useState(atOnce);
    const left = items.length - shown;
    return (
        <>
            {items.slice(0, shown).map(render)}
            {left > 0 && (
                <Button onPress={() => setShown(shown + Math.max(atOnce, 100))}>
                    Show {left > 100 ? `100 more of ${left}` : `the other ${left}`} {noun}
                </Button>
            )}
        </>
    );
}
