import { Check, ChevronDown } from 'lucide-react';
import {
    Button, Checkbox, CheckboxGroup, ListBox, ListBoxItem, Popover, Select, SelectValue,
} from 'react-aria-components';
import styled from 'styled-components';
import { FieldLabel, Problem } from './Field';
import { field, space, type, widthOf, type Width } from './tokens';

export interface Option<T extends string = string> {
    id: T;
    name: string;
}

/** Words that are their own names. */
export function asOptions<T extends string>(words: readonly T[]): Option<T>[] {
    return words.map((word) => ({ id: word, name: word }));
}

/** Things that have numbers and names. */
export function byNumber(things: readonly { id: number; name: string }[]): Option[] {
    return things.map(({ id, name }) => ({ id: String(id), name }));
}

const SelectRoot = styled(Select)<{ $width?: Width }>`
    width: ${widthOf};
    max-width: 100%;
`;

const Opener = styled(Button)`
    ${field}
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: ${space.small};
    text-align: left;
    cursor: pointer;

    > span { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
    svg { flex: none; color: var(--quiet); }
    &[data-focus-visible] { outline: 2px solid var(--accent); }
`;

export const Panel = styled(Popover)`
    min-width: var(--trigger-width);
    overflow: auto;
    border: 1px solid var(--edge);
    border-radius: 3px;
    background: var(--sheet);
    color: var(--ink);
    box-shadow: 0 6px 24px rgb(0 0 0 / 18%);
`;

export const PanelList = styled(ListBox<Option>)`
    max-height: 300px;
    overflow: auto;
    padding: ${space.tight};
    outline: none;
`;

export const PanelItem = styled(ListBoxItem)`
    padding: 4px 10px;
    border-radius: 2px;
    cursor: pointer;
    outline: none;
    &[data-focused] { background: var(--accent-wash); }
    &[data-selected] { font-weight: 600; }
`;

interface ChooseOneProps<T extends string> {
    label: string;
    /** Where what stands beside it says it to the eye. */
    isLabelHidden?: boolean;
    options: readonly Option<T>[];
    value: T | '';
    onChange: (id: T) => void;
    problem?: string | undefined;
    width?: Width;
    /** Whether it has the keyboard when it comes. */
    takesFocus?: boolean;
}

/** One of a list; typing letters goes to it. */
export function ChooseOne<T extends string>(props: ChooseOneProps<T>) {
    const { label, isLabelHidden = false, options, value, onChange, problem, width, takesFocus = false } = props;
    return (
        <SelectRoot
            selectedKey={value === '' ? null : value}
            onSelectionChange={(key) => onChange(key as T)}
            isInvalid={problem !== undefined}
            validationBehavior="aria"
            placeholder="Choose"
            autoFocus={takesFocus}
            // Pressed before there is anything to choose from, it opens, and shows it when it comes.
            allowsEmptyCollection
            {...(isLabelHidden ? { 'aria-label': label } : {})}
            {...(width === undefined ? {} : { $width: width })}
        >
            {!isLabelHidden && <FieldLabel>{label}</FieldLabel>}
            <Opener>
                <SelectValue />
                <ChevronDown size={16} aria-hidden />
            </Opener>
            <Problem>{problem}</Problem>
            <Panel>
                <PanelList items={options}>{(option) => <PanelItem id={option.id}>{option.name}</PanelItem>}</PanelList>
            </Panel>
        </SelectRoot>
    );
}

const Group = styled(CheckboxGroup)`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: ${space.tight} ${space.medium};
`;

const CheckRoot = styled(Checkbox)`
    display: inline-flex;
    align-items: center;
    gap: 6px;
    padding: 2px 0;
    cursor: pointer;

    &[data-focus-visible] .box { outline: 2px solid var(--accent); outline-offset: 2px; }
    &[data-selected] .box { background: var(--accent); border-color: var(--accent); }
    .box {
        display: grid;
        place-items: center;
        flex: none;
        width: 16px;
        height: 16px;
        border: 1px solid var(--edge);
        border-radius: 2px;
        background: var(--sheet);
        color: var(--on-accent);
    }
`;

const GroupLabel = styled(FieldLabel)`font-size: ${type.small};`;

function Box({ isSelected }: { isSelected: boolean }) {
    return <span className="box">{isSelected && <Check size={13} strokeWidth={3} aria-hidden />}</span>;
}

interface TickProps {
    children?: string;
    /** What it is, where no words stand beside it. */
    label?: string;
    isSelected: boolean;
    onChange: (isSelected: boolean) => void;
    /** Whether it has the keyboard when it comes. */
    takesFocus?: boolean;
}

/** One yes or no. */
export function Tick({ children, label, isSelected, onChange, takesFocus = false }: TickProps) {
    return (
        <CheckRoot autoFocus={takesFocus} isSelected={isSelected} onChange={onChange} {...(label === undefined ? {} : { 'aria-label': label })}>
            {({ isSelected: ticked }) => <><Box isSelected={ticked} />{children}</>}
        </CheckRoot>
    );
}

interface ChooseSeveralProps<T extends string> {
    label: string;
    options: readonly Option<T>[];
    value: T[];
    onChange: (value: T[]) => void;
}

/** Any number of a few words. */
export function ChooseSeveral<T extends string>({ label, options, value, onChange }: ChooseSeveralProps<T>) {
    return (
        <Group value={value} onChange={(chosen) => onChange(chosen as T[])}>
            <GroupLabel>{label}</GroupLabel>
            {options.map(({ id, name }) => (
                <CheckRoot key={id} value={id}>
                    {({ isSelected }) => <><Box isSelected={isSelected} />{name}</>}
                </CheckRoot>
            ))}
        </Group>
    );
}
