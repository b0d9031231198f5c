import { useEffect } from 'react';
import { api } from '../../api/client';

/** So often it is said again; the server forgets it after three times as long. */
const EVERY = 30_000;

const open = new Map<number, number>();

function tell(id: number, isEditing: boolean) {
    // Nobody waits for it, and it is no matter when it cannot be told.
    api.PUT('/api/parties/{id}/editing', { params: { path: { id } }, body: { isEditing } }).then(() => undefined, () => undefined);
}

/** Says that a record is being changed for as long as one of its sections is open, so that it is not made one with another meanwhile. */
export function useSayEditing(id: number, isEditing: boolean): void {
    useEffect(() => {
        if (!isEditing) {
            return;
        }
        open.set(id, (open.get(id) ?? 0) + 1);
        tell(id, true);
        const timer = setInterval(() => tell(id, true), EVERY);
        return () => {
            clearInterval(timer);
            const left = (open.get(id) ?? 1) - 1;
            open.set(id, left);
            if (left === 0) {
                tell(id, false);
            }
        };
    }, [id, isEditing]);
}
