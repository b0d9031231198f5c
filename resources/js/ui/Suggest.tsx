import { ChevronDown } from 'lucide-react';
import { useContext, useEffect, useRef, type Key, type KeyboardEvent } from 'react';
import { Button, ComboBox, ComboBoxStateContext, Input } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { Panel, PanelItem, PanelList, type Option } from './Choose';
import { FieldLabel, Problem } from './Field';
import { field, widthOf, type Width } from './tokens';

const Root = styled(ComboBox<Option>)<{ $width?: Width }>`
    width: ${widthOf};
    max-width: 100%;
`;

export const SuggestLine = styled.div`position: relative;`;

export const SuggestInput = styled(Input)`
    ${field}
    padding-right: 28px;
`;

export const suggestOpener = css`
    position: absolute;
    inset: 0 0 0 auto;
    display: grid;
    place-items: center;
    width: 28px;
    border: 0;
    background: none;
    color: var(--quiet);
    cursor: pointer;
`;

const Opener = styled(Button)`${suggestOpener}`;

interface Props {
    label: string;
    options: Option[];
    value: string;
    onType: (text: string) => void;
    /** When one of the options was picked; its name has been typed already. */
    onPick?: (id: string) => void;
    onKeyDown?: (event: KeyboardEvent) => void;
    onLeave?: () => void;
    problem?: string | undefined;
    placeholder?: string;
    width?: Width;
}

/** Offers that come while somebody has typed already are shown as if they had been there before. */
export function LateOffers({ options }: { options: Option[] }) {
    const state = useContext(ComboBoxStateContext);
    const offered = options.map(({ id }) => id).join('\n');
    const before = useRef(offered);
    // What was typed when they came; the list is told of them only after this, so it is tried until it opens.
    const waiting = useRef<string>(undefined);
    useEffect(() => {
        if (state === null) {
            return;
        }
        if (before.current !== offered) {
            before.current = offered;
            waiting.current = state.inputValue;
        }
        if (waiting.current !== state.inputValue || state.inputValue === '' || state.isOpen || !state.isFocused) {
            waiting.current = undefined;
        } else {
            state.open(null, 'input');
        }
    });
    return null;
}

/** A line of text that offers usual answers, and takes any other. */
export function Suggest({ label, options, value, onType, onPick, onKeyDown, onLeave, problem, placeholder, width }: Props) {
    return (
        <Root
            allowsCustomValue
            menuTrigger="input"
            defaultItems={options}
            inputValue={value}
            onInputChange={onType}
            onSelectionChange={(key: Key | null) => key !== null && onPick?.(String(key))}
            isInvalid={problem !== undefined}
            validationBehavior="aria"
            {...(width === undefined ? {} : { $width: width })}
        >
            <FieldLabel>{label}</FieldLabel>
            <SuggestLine>
                <SuggestInput placeholder={placeholder} onKeyDown={onKeyDown} onBlur={onLeave} />
                <Opener><ChevronDown size={15} aria-hidden /></Opener>
            </SuggestLine>
            <Problem>{problem}</Problem>
            <LateOffers options={options} />
            <Panel>
                <PanelList>{(option: Option) => <PanelItem id={option.id} textValue={option.name}>{option.name}</PanelItem>}</PanelList>
            </Panel>
        </Root>
    );
}
