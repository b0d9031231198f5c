import { useEffect, useState } from 'react';

const MILLISECONDS = 250;

/** The value as it was when it last stayed the same for a moment: what is asked of the server while somebody types. */
export function useQuiet<T>(value: T): T {
    const [quiet, setQuiet] = useState(value);
    const key = JSON.stringify(value);
    useEffect(() => {
        const timer = setTimeout(() => setQuiet(JSON.parse(key) as T), MILLISECONDS);
        return () => clearTimeout(timer);
    }, [key]);
    return quiet;
}
