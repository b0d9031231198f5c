import { X } from 'lucide-react';
import { useState, type KeyboardEvent } from 'react';
import { Button, Label, Tag, TagGroup, TagList } from 'react-aria-components';
import styled from 'styled-components';
import { Suggest } from './Suggest';
import { space, type, type Width } from './tokens';
import { asOptions } from './Choose';

const Root = styled.div`
    display: grid;
    gap: ${space.tight};
    width: 100%;
`;

const Group = styled(TagGroup)`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: ${space.tight};
`;

const List = styled(TagList)`
    display: flex;
    flex-wrap: wrap;
    gap: ${space.tight};
`;

const Hidden = styled(Label)`
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
`;

const Chip = styled(Tag)`
    display: inline-flex;
    align-items: center;
    gap: ${space.tight};
    padding: 1px 4px 1px 9px;
    border: 1px solid var(--rule);
    border-radius: 3px;
    background: var(--wash);
    font-size: ${type.small};
    &[data-focus-visible] {
        outline: 2px solid var(--accent);
    }
    button {
        display: grid;
        place-items: center;
        width: 24px;
        height: 24px;
        padding: 0;
        border: 0;
        background: none;
        color: var(--quiet);
        cursor: pointer;
    }
`;

interface Props {
    label: string;
    options: string[];
    value: string[];
    onChange: (value: string[]) => void;
    problem?: string | undefined;
    /** Whether what is not offered may be typed too. */
    takesNew?: boolean;
    width?: Width;
}

/** Any number of words, each typed with the office's words offered, or taken away again. */
export function TagPicker({ label, options, value, onChange, problem, takesNew = false, width = 'phrase' }: Props) {
    const [typed, setTyped] = useState('');
    const open = options.filter((option) => !value.includes(option));

    const add = (text: string) => {
        const word = text.trim();
        const known = options.find((option) => option.toLowerCase() === word.toLowerCase());
        const chosen = known ?? (takesNew ? word : '');
        if (chosen !== '') {
            if (!value.includes(chosen)) {
                onChange([...value, chosen]);
            }
            setTyped('');
        }
    };

    return (
        <Root>
            <Suggest
                key={value.join('\n')}
                label={label}
                width={width}
                placeholder={takesNew ? 'Type one, then Enter' : 'Choose'}
                options={asOptions(open)}
                value={typed}
                onType={setTyped}
                onPick={add}
                problem={problem}
                onKeyDown={(event: KeyboardEvent) => {
                    if (event.key === 'Enter' && !event.ctrlKey && !event.metaKey && typed.trim() !== '' && !event.defaultPrevented) {
                        event.preventDefault();
                        add(typed);
                    }
                }}
                onLeave={() => takesNew && add(typed)}
            />
            {value.length > 0 && (
                <Group onRemove={(keys) => onChange(value.filter((word) => !keys.has(word)))}>
                    <Hidden>{label} chosen</Hidden>
                    <List>
                        {value.map((word) => (
                            <Chip key={word} id={word} textValue={word}>
                                {word}
                                <Button slot="remove" aria-label={`Remove ${word}`}><X size={13} aria-hidden /></Button>
                            </Chip>
                        ))}
                    </List>
                </Group>
            )}
        </Root>
    );
}
