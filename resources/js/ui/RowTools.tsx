import { ArrowDown, ArrowUp, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { QuietButton } from './Button';
import { Row } from './Text';

interface Props<T> {
    /** How the row is called, for who does not see where it stands. */
    called: string;
    index: number;
    rows: T[];
    onChange: (rows: T[]) => void;
    /** Stands in place of the way out, where the row has to stay. */
    stays?: ReactNode;
}

/** Up, down, away: of one row in a list that has an order. */
export function RowTools<T>({ called, index, rows, onChange, stays }: Props<T>) {
    const move = (by: number) => {
        const next = [...rows];
        next.splice(index + by, 0, ...next.splice(index, 1));
        onChange(next);
    };
    return (
        <Row $gap="tight">
            <QuietButton aria-label={`Move ${called} up`} isDisabled={index === 0} onPress={() => move(-1)}>
                <ArrowUp size={15} aria-hidden />
            </QuietButton>
            <QuietButton aria-label={`Move ${called} down`} isDisabled={index === rows.length - 1} onPress={() => move(1)}>
                <ArrowDown size={15} aria-hidden />
            </QuietButton>
            {stays ?? (
                <QuietButton aria-label={`Remove ${called}`} onPress={() => onChange(rows.filter((_, at) => at !== index))}>
                    <X size={15} aria-hidden />
                </QuietButton>
            )}
        </Row>
    );
}
