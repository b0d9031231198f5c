import { useEffect } from 'react';
import { useBlocker } from 'react-router';
import { Button, MainButton } from '../ui/Button';
import { Dialog, DialogButtons } from '../ui/Dialog';
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

    return blocker.state === 'blocked' && (
        <Dialog title="Leave without saving?" role="alertdialog" onClose={() => blocker.reset()}>
            <p>Something on this page is not saved yet.</p>
            <DialogButtons>
                <MainButton autoFocus onPress={() => blocker.reset()}>Stay here</MainButton>
                <Button onPress={() => blocker.proceed()}>Leave without saving</Button>
            </DialogButtons>
        </Dialog>
    );
}
