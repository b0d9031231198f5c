import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import styled from 'styled-components';
import { Button } from '../ui/Button';
import { Dialog, DialogButtons } from '../ui/Dialog';
import { ShortcutContext, type Shortcut } from '../ui/shortcuts';
import { line, size, space } from '../ui/tokens';

const PAUSE_BETWEEN_KEYS = 1200;

/** What moves goes on while its key is held; what does something is done once. */
const MOVES = ['j', 'k'];

const Keys = styled.dl`
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: ${space.small} ${space.large};
    margin: 0;

    > div { display: contents; }
    dd { margin: 0; }
    kbd {
        padding: 0 ${space.small};
        border: ${line.edge};
        border-radius: ${size.corner};
        font: inherit;
    }
`;

const ALWAYS = [
    ['Ctrl+Enter', 'Save what is being edited'],
    ['Esc', 'Leave the field, the list or the section'],
    ['?', 'Show these keys'],
] as const;

function isTyping(target: EventTarget | null): boolean {
    return target instanceof HTMLElement
        && (target.isContentEditable || target.matches('input:not([type=checkbox],[type=radio]), textarea, select'));
}

/** Hears every key that is not typed into a field, and knows which of them mean something now. */
export function Shortcuts({ children }: { children: ReactNode }) {
    const known = useRef<Shortcut[]>([]);
    const before = useRef({ key: '', at: 0 });
    const [list, setList] = useState<Shortcut[]>();

    const registry = useMemo(() => ({
        add(shortcut: Shortcut) {
            known.current = [...known.current, shortcut];
            return () => {
                known.current = known.current.filter((other) => other !== shortcut);
            };
        },
        showList: () => setList(known.current),
    }), []);

    useEffect(() => {
        const onKeyDown = (event: KeyboardEvent) => {
            if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)
                || (event.repeat && !MOVES.includes(event.key))
                || document.querySelector('[role=dialog],[role=alertdialog]') !== null) {
                return;
            }
            if (event.key === '?') {
                setList(known.current);
                return;
            }
            const isSecond = event.timeStamp - before.current.at < PAUSE_BETWEEN_KEYS;
            const pair = isSecond ? `${before.current.key} ${event.key}` : event.key;
            before.current = { key: event.key, at: event.timeStamp };
            const meant = known.current.findLast((shortcut) => shortcut.keys === pair)
                ?? known.current.findLast((shortcut) => shortcut.keys === event.key);
            if (meant !== undefined) {
                event.preventDefault();
                before.current = { key: '', at: 0 };
                meant.run();
            }
        };
        document.addEventListener('keydown', onKeyDown);
        return () => document.removeEventListener('keydown', onKeyDown);
    }, []);

    return (
        <ShortcutContext.Provider value={registry}>
            {children}
            {list !== undefined && (
                <Dialog title="Keys on this screen" onClose={() => setList(undefined)}>
                    <Keys>
                        {[...list.map(({ keys, does }) => [keys, does] as const), ...ALWAYS].map(([keys, does]) => (
                            <div key={keys}>
                                <dt><kbd>{keys}</kbd></dt>
                                <dd>{does}</dd>
                            </div>
                        ))}
                    </Keys>
                    <DialogButtons><Button autoFocus onPress={() => setList(undefined)}>Close</Button></DialogButtons>
                </Dialog>
            )}
        </ShortcutContext.Provider>
    );
}
