import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { FieldLabel } from './Field';
import { narrow, size, space, type } from './tokens';

const Group = styled(RadioGroup)`
    display: grid;
    grid-template-columns: ${size.labels} minmax(0, 1fr);
    gap: ${space.hair} ${space.medium};
    width: 100%;
    > label { padding-top: 3px; color: var(--quiet); font-size: ${type.body}; }
    ${narrow} { grid-template-columns: minmax(0, 1fr); }
`;

const Options = styled.div`
    display: grid;
    gap: ${space.hair};
    justify-items: start;
    min-width: 0;
`;

const One = styled(Radio)`
    display: inline-flex;
    align-items: baseline;
    gap: ${space.small};
    min-height: ${size.target};
    overflow-wrap: anywhere;
    cursor: pointer;

    &::before {
        content: '';
        flex: none;
        align-self: center;
        width: 16px;
        height: 16px;
        border: 1px solid var(--edge);
        border-radius: 50%;
        background: var(--sheet);
    }
    &[data-selected]::before { border: 5px solid var(--accent); }
    &[data-focus-visible]::before { outline: 2px solid var(--accent); outline-offset: 2px; }
    small { color: var(--quiet); font-size: ${type.small}; }
`;

interface Props {
    label: string;
    options: { id: string; name: string; note: string }[];
    value: string;
    onChange: (id: string) => void;
}

/** One of a few, each in a line of its own with what is to be known of it. */
export function Radios({ label, options, value, onChange }: Props) {
    return (
        <Group value={value} onChange={onChange}>
            <FieldLabel>{label}</FieldLabel>
            <Options>
                {options.map(({ id, name, note }) => (
                    <One key={id} value={id}><span>{name} <small>{note}</small></span></One>
                ))}
            </Options>
        </Group>
    );
}
