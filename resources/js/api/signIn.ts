import { createContext, useContext } from 'react';

/** Makes sure that somebody is signed in, asking on the spot; false when they would rather not. */
export type EnsureSignedIn = () => Promise<boolean>;

export const SignInContext = createContext<EnsureSignedIn>(() => Promise.resolve(false));

export function useEnsureSignedIn(): EnsureSignedIn {
    return useContext(SignInContext);
}
