import { useEffect } from 'react';
import { useBlocker } from 'react-router';
import { LeaveQuestion } from '../ui/Dialog';
import { holdsUnsaved, useHoldsUnsaved } from '../ui/unsaved';

/** Asks before a page is left, or loaded anew, on which something is not saved. */
export function LeaveGuard() {
    const holds = useHoldsUnsaved();
    const blocker = useBlocker(({ currentLocation, nextLocation }) => currentLocation.pathname !== nextLocation.pathname && holdsUnsaved());

    useEffect(() => {
        const warn = (event: BeforeUnloadEvent) => event.preventDefault();
        if (holds) {
            window.addEventListener('beforeunload', warn);
        }
        return () => window.removeEventListener('beforeunload', warn);
    }, [holds]);

    return (
        blocker.state === 'blocked' && (
            <LeaveQuestion onStay={() => blocker.reset()} onLeave={() => blocker.proceed()}>
                Something on this page is not saved yet.
            </LeaveQuestion>
        )
    );
}
