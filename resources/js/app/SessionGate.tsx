import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Navigate, useLocation } from 'react-router';
import { sessionQuery } from '../api/queries';
import { SessionContext } from '../api/session';
import { tellMomentsIn } from '../ui/moment';
import { SetUpSecondFactor } from '../shared/access/SetUpSecondFactor';
import { MainButton } from '../ui/Button';
import { Doorway } from '../ui/Page';
import { Empty, Title } from '../ui/Text';

/** Lets in who is signed in; everybody else goes to where they can be. */
export function SessionGate({ children }: { children: ReactNode }) {
    const { data: session, error, refetch } = useQuery(sessionQuery);
    const location = useLocation();

    if (error !== null) {
        return (
            <Empty role="alert" $alone>
                <Title>The server cannot be reached</Title>
                <p>Check that it is running and that you are connected, then try again.</p>
                <MainButton onPress={() => void refetch()}>Try again</MainButton>
            </Empty>
        );
    }
    if (session === undefined) {
        return null;
    }
    if (session.needsSetup) {
        return <Navigate to="/set-up" replace />;
    }
    if (session.userName === null) {
        return <Navigate to="/sign-in" replace state={{ from: location.pathname + location.search }} />;
    }
    if (session.mustSetUpSecondFactor) {
        return (
            <Doorway>
                <Title>Set up your second factor</Title>
                <p>Your office asks for a code from an authenticator app besides your password.</p>
                <SetUpSecondFactor onDone={() => void refetch()} />
            </Doorway>
        );
    }
    tellMomentsIn(session.zone);
    return <SessionContext.Provider value={session}>{children}</SessionContext.Provider>;
}
