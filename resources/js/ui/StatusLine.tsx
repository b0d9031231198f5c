import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import styled from 'styled-components';
import { QuietButton } from './Button';
import { print, space } from './tokens';

/** After this it goes with the next key or press: who looked away meanwhile still finds it. */
const SECONDS_SHOWN = 12;

interface Said {
    text: string;
    undo?: (() => void) | undefined;
}

/** Without a text it takes back what stands there. */
type Say = (text?: string, undo?: () => void) => void;

const StatusContext = createContext<Say>(() => undefined);

const Foot = styled.div`
    position: fixed;
    z-index: 40;
    bottom: ${space.medium};
    right: ${space.large};
    display: flex;
    align-items: center;
    gap: ${space.medium};
    padding: 6px 14px;
    border: 1px solid var(--edge);
    border-radius: 3px;
    background: var(--sheet);
    box-shadow: 0 4px 16px rgb(0 0 0 / 14%);
    &:empty { display: none; }
    ${print} { display: none; }
`;

/** Says once, at the foot of the page, what was done, with Undo where that is possible. */
export function StatusLine({ children }: { children: ReactNode }) {
    const [said, setSaid] = useState<Said>();
    const say = useCallback<Say>((text, undo) => setSaid(text === undefined ? undefined : { text, undo }), []);

    const foot = useRef<HTMLDivElement>(null);

    useEffect(() => {
        if (said === undefined) {
            return;
        }
        const done = new AbortController();
        const take = (event: Event) => {
            const isOnTheWayToUndo = event instanceof KeyboardEvent && event.key === 'Tab';
            if (!isOnTheWayToUndo && !(event.target instanceof Node && foot.current?.contains(event.target))) {
                setSaid(undefined);
            }
        };
        const timer = setTimeout(() => {
            document.addEventListener('keydown', take, { capture: true, signal: done.signal });
            document.addEventListener('pointerdown', take, { capture: true, signal: done.signal });
        }, SECONDS_SHOWN * 1000);
        return () => {
            clearTimeout(timer);
            done.abort();
        };
    }, [said]);

    const undo = useMemo(() => said?.undo && (() => {
        setSaid(undefined);
        said.undo?.();
    }), [said]);

    return (
        <StatusContext.Provider value={say}>
            {children}
            <Foot ref={foot} role="status">
                {said && <span>{said.text}</span>}
                {undo && <QuietButton onPress={undo}>Undo</QuietButton>}
            </Foot>
        </StatusContext.Provider>
    );
}

/** The function that says something at the foot of the page. */
export function useSay(): Say {
    return useContext(StatusContext);
}
