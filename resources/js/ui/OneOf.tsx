import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import type { Option } from './Choose';
import { line, print, size, space, type } from './tokens';

const Group = styled(ToggleButtonGroup)`
    display: inline-flex;
    flex-wrap: wrap;
    gap: ${space.hair} ${space.small};
    ${print} { display: none; }
`;

const One = styled(ToggleButton)`
    min-height: ${size.target};
    padding: 0 2px;
    border: 0;
    border-bottom: 2px solid transparent;
    background: none;
    color: var(--accent);
    font-size: ${type.small};
    cursor: pointer;
    &[data-hovered] { border-bottom-color: var(--rule); }
    &[data-selected] { border-bottom-color: var(--accent); color: var(--ink); font-weight: 600; }
    &[data-focus-visible] { outline: ${line.focus}; }
`;

interface Props<T extends string> {
    label: string;
    options: readonly Option<T>[];
    value: T;
    onChange: (id: T) => void;
}

/** One of a few, all in sight. */
export function OneOf<T extends string>({ label, options, value, onChange }: Props<T>) {
    return (
        <Group
            aria-label={label}
            selectionMode="single"
            disallowEmptySelection
            selectedKeys={[value]}
            onSelectionChange={(keys) => {
                const [key] = keys;
                if (key !== undefined && key !== value) {
                    onChange(key as T);
                }
            }}
        >
            {options.map(({ id, name }) => <One key={id} id={id}>{name}</One>)}
        </Group>
    );
}
