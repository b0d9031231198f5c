import { useRef, useState } from 'react';
import { whileSaving } from '../ui/unsaved';
import { Refused } from './client';

/** Saving one form: what the server says is wrong, at its field or as a whole. What was typed stays. */
export function useSaving() {
    const [failure, setFailure] = useState<Error>();
    const problems: Record<string, string> = failure instanceof Refused ? failure.fields : {};

    const isRunning = useRef(false);

    /** Runs the work; whether it was done. While it runs, it is not begun again. */
    const run = async (work: () => Promise<void>): Promise<boolean> => {
        if (isRunning.current) {
            return false;
        }
        isRunning.current = true;
        setFailure(undefined);
        try {
            await whileSaving(work);
            return true;
        } catch (error) {
            setFailure(error as Error);
            return false;
        } finally {
            isRunning.current = false;
        }
    };

    return {
        run,
        problems,
        failure,
        /** What is wrong and stands at no field. */
        message: failure !== undefined && Object.keys(problems).length === 0 ? failure.message : undefined,
    };
}
