import { useEffect, useId, useRef, useState, type KeyboardEvent, type Ref } from 'react';
import styled from 'styled-components';
import { field, space, type } from './tokens';

export interface Proposal {
    /** How many letters stay before it, and how many it takes the place of. */
    at: number;
    length: number;
    text: string;
}

const Root = styled.div`position: relative; width: 100%;`;

const Label = styled.label`display: block; margin-bottom: ${space.hair}; color: var(--quiet); font-size: ${type.small};`;

const Input = styled.input`${field}`;

const Panel = styled.ul`
    position: absolute;
    z-index: 25;
    top: calc(100% + 4px);
    left: 0;
    min-width: min(420px, 100%);
    max-width: 100%;
    max-height: 330px;
    margin: 0;
    padding: ${space.tight};
    overflow: auto;
    border: 1px solid var(--edge);
    border-radius: 3px;
    background: var(--sheet);
    box-shadow: 0 10px 32px rgb(0 0 0 / 20%);
    list-style: none;
`;

const Line = styled.li`
    padding: 4px 10px;
    border-radius: 2px;
    cursor: pointer;
    &[aria-selected='true'] { background: var(--accent-wash); box-shadow: inset 3px 0 0 var(--accent); }
`;

interface Props {
    label: string;
    placeholder: string;
    value: string;
    onType: (text: string) => void;
    /** What may come next after what is typed. */
    proposals: Proposal[];
    onDone: () => void;
    /** Puts back what held before. */
    onLeave: () => void;
    inputRef?: Ref<HTMLInputElement>;
    problem?: string | undefined;
}

/**
 * A line in which a sentence is written, with what may come next below it, by the ARIA combobox pattern. Nothing is
 * chosen until an arrow key chooses it: Enter then takes it in and the typing goes on; else Enter is the end of the sentence.
 */
export function SentenceLine({ label, placeholder, value, onType, proposals, onDone, onLeave, inputRef, problem }: Props) {
    const id = useId();
    const [isOpen, setOpen] = useState(false);
    const [chosen, setChosen] = useState(-1);
    const list = useRef<HTMLUListElement>(null);
    const isShown = isOpen && proposals.length > 0;
    const active = isShown ? Math.min(chosen, proposals.length - 1) : -1;

    useEffect(() => {
        list.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' });
    }, [active]);

    const take = (proposal: Proposal | undefined) => {
        if (proposal !== undefined) {
            const rest = [...value].slice(proposal.at + proposal.length).join('');
            onType(`${[...value].slice(0, proposal.at).join('')}${proposal.text.trimEnd()} ${rest}`);
            setChosen(-1);
        }
    };
    const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
        if (event.nativeEvent.isComposing) {
            return;
        }
        const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
        if (step !== undefined && proposals.length > 0) {
            event.preventDefault();
            setOpen(true);
            // One place more than there are proposals: nothing chosen.
            const places = proposals.length + 1;
            setChosen((active + 1 + step + places) % places - 1);
        } else if (event.key === 'Enter') {
            event.preventDefault();
            if (active >= 0) {
                take(proposals[active]);
            } else {
                setOpen(false);
                onDone();
            }
        } else if (event.key === 'Escape') {
            event.preventDefault();
            event.stopPropagation();
            if (isShown) {
                setOpen(false);
                setChosen(-1);
            } else {
                onLeave();
            }
        }
    };

    return (
        <Root>
            <Label htmlFor={`${id}-line`}>{label}</Label>
            <Input
                id={`${id}-line`}
                ref={inputRef}
                role="combobox"
                aria-expanded={isShown}
                aria-controls={`${id}-list`}
                aria-autocomplete="list"
                aria-activedescendant={active >= 0 ? `${id}-${active}` : undefined}
                {...(problem === undefined ? {} : { 'aria-invalid': true, 'aria-describedby': problem })}
                autoComplete="off"
                spellCheck={false}
                placeholder={placeholder}
                value={value}
                onChange={(event) => {
                    setChosen(-1);
                    setOpen(true);
                    onType(event.target.value);
                }}
                onFocus={() => setOpen(true)}
                onBlur={() => setOpen(false)}
                onKeyDown={onKeyDown}
            />
            <Panel
                ref={list}
                id={`${id}-list`}
                role="listbox"
                aria-label="What may come next"
                hidden={!isShown}
                onMouseDown={(event) => event.preventDefault()}
            >
                {isShown && proposals.map((proposal, index) => (
                    <Line
                        key={proposal.text}
                        id={`${id}-${index}`}
                        role="option"
                        aria-selected={index === active}
                        onMouseMove={() => index !== active && setChosen(index)}
                        onClick={() => take(proposal)}
                    >
                        {proposal.text}
                    </Line>
                ))}
            </Panel>
        </Root>
    );
}
