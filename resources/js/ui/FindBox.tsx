import { Search } from 'lucide-react';
import { useEffect, useId, useRef, useState, type KeyboardEvent, type ReactNode, type Ref } from 'react';
import styled from 'styled-components';
import { field, line, space, type } from './tokens';

export interface FindOption {
    id: string;
    content: ReactNode;
}

const Root = styled.div`position: relative;`;

const Line = styled.input`
    ${field}
    padding: 7px 44px 7px 34px;
    &::-webkit-search-cancel-button { display: none; }
`;

const Glass = styled(Search)`
    position: absolute;
    left: 10px;
    top: 9px;
    color: var(--quiet);
    pointer-events: none;
`;

const KeyHint = styled.kbd`
    position: absolute;
    right: 10px;
    top: 7px;
    padding: 0 7px;
    border: 1px solid var(--rule);
    border-radius: 3px;
    color: var(--quiet);
    font: ${type.small}/1.5 ${type.sans};
    pointer-events: none;
`;

const Results = styled.div`
    position: absolute;
    z-index: 30;
    top: calc(100% + 4px);
    left: 0;
    width: 100%;
    border: 1px solid var(--edge);
    border-radius: 3px;
    background: var(--sheet);
    box-shadow: 0 10px 32px rgb(0 0 0 / 20%);
`;

const List = styled.ul`
    max-height: min(62vh, 560px);
    margin: 0;
    padding: ${space.tight};
    overflow: auto;
    list-style: none;
`;

const Row = styled.li`
    padding: 6px 10px;
    border-radius: 2px;
    cursor: pointer;
    &[aria-selected='true'] { background: var(--accent-wash); box-shadow: ${line.chosen}; }
`;

const Foot = styled.p`
    padding: 6px 14px;
    border-top: 1px solid var(--rule);
    color: var(--quiet);
    font-size: ${type.small};
`;

interface Props {
    label: string;
    placeholder: string;
    value: string;
    onType: (text: string) => void;
    options: FindOption[];
    /** The options do not answer the text yet: Enter waits for those that do. */
    isBehind: boolean;
    onChoose: (id: string) => void;
    onLeave?: () => void;
    foot?: ReactNode;
    keyHint?: string;
    inputRef?: Ref<HTMLInputElement>;
    autoFocus?: boolean;
}

/**
 * A search line with its answers below, by the ARIA combobox pattern. Ours rather than React
 * Aria's, because Enter must wait for the answers to what has been typed, not take older ones.
 */
export function FindBox({
    label, placeholder, value, onType, options, isBehind, onChoose, onLeave, foot, keyHint, inputRef, autoFocus = false,
}: Props) {
    const id = useId();
    const [isOpen, setOpen] = useState(false);
    const [chosen, setChosen] = useState(0);
    const waiting = useRef(false);
    const list = useRef<HTMLUListElement>(null);
    const isShown = isOpen && value.trim() !== '';
    const active = Math.min(chosen, options.length - 1);

    const choose = (index: number) => {
        const option = options[index];
        if (option !== undefined) {
            setOpen(false);
            onChoose(option.id);
        }
    };

    useEffect(() => {
        if (waiting.current && !isBehind) {
            waiting.current = false;
            choose(active);
        }
    });

    useEffect(() => {
        list.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' });
    }, [active]);

    const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
        if (event.nativeEvent.isComposing) {
            return;
        }
        const moves: Record<string, number> = { ArrowDown: 1, ArrowUp: -1 };
        const move = moves[event.key];
        if (move !== undefined && options.length > 0) {
            event.preventDefault();
            setOpen(true);
            setChosen((active + move + options.length) % options.length);
        } else if (event.key === 'Enter' && isShown) {
            event.preventDefault();
            if (isBehind) {
                waiting.current = true;
            } else {
                choose(active);
            }
        } else if (event.key === 'Escape' && (isShown || onLeave !== undefined)) {
            // What the line has no use for is for whatever is around it.
            event.preventDefault();
            event.stopPropagation();
            waiting.current = false;
            if (isShown) {
                setOpen(false);
            } else {
                onLeave?.();
            }
        }
    };

    return (
        <Root>
            <Glass size={16} aria-hidden />
            <Line
                ref={inputRef}
                type="search"
                role="combobox"
                aria-label={label}
                aria-expanded={isShown}
                aria-controls={`${id}-list`}
                aria-autocomplete="list"
                aria-activedescendant={isShown && !isBehind && options.length > 0 ? `${id}-${active}` : undefined}
                autoComplete="off"
                spellCheck={false}
                autoFocus={autoFocus}
                placeholder={placeholder}
                value={value}
                onChange={(event) => {
                    waiting.current = false;
                    setChosen(0);
                    setOpen(true);
                    onType(event.target.value);
                }}
                onFocus={() => setOpen(true)}
                onBlur={() => setOpen(false)}
                onKeyDown={onKeyDown}
            />
            {keyHint !== undefined && value === '' && <KeyHint>{keyHint}</KeyHint>}
            <Results hidden={!isShown} onMouseDown={(event) => event.preventDefault()}>
                <List ref={list} id={`${id}-list`} role="listbox" aria-label={`${label}: answers`} aria-busy={isBehind}>
                    {isShown && options.map((option, index) => (
                        <Row
                            key={option.id}
                            id={`${id}-${index}`}
                            role="option"
                            aria-selected={index === active}
                            onMouseMove={() => index !== active && setChosen(index)}
                            onClick={() => choose(index)}
                        >
                            {option.content}
                        </Row>
                    ))}
                </List>
                {foot !== undefined && <Foot>{foot}</Foot>}
            </Results>
        </Root>
    );
}
