import { createContext, useContext } from 'react';
import type { Schemas } from './client';

export type Session = Schemas['Session'];

export const SessionContext = createContext<Session | undefined>(undefined);

/** Who is signed in. Only for screens inside the frame. */
export function useSession(): Session {
    const session = useContext(SessionContext);
    if (session === undefined) {
        throw new Error('This screen needs somebody who is signed in.');
    }
    return session;
}
