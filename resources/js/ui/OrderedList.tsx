import { GripVertical, X } from 'lucide-react';
import { Button as AriaButton, GridList, GridListItem, useDragAndDrop } from 'react-aria-components';
import styled from 'styled-components';
import type { Option } from './Choose';
import { QuietButton } from './Button';
import { line, size, space } from './tokens';

const List = styled(GridList<Option>)`
    display: grid;
    gap: ${space.hair};
    max-height: 340px;
    overflow: auto;
    outline: none;
    &[data-focus-visible] { outline: ${line.focus}; }
    .react-aria-DropIndicator[data-drop-target] { outline: ${line.focus}; }
`;

const Item = styled(GridListItem)`
    display: flex;
    align-items: center;
    gap: ${space.small};
    min-height: 32px;
    padding: 0 ${space.tight};
    border: ${line.rule};
    border-radius: ${size.corner};
    background: var(--sheet);
    outline: none;
    &[data-focus-visible] { outline: ${line.focus}; outline-offset: -2px; }
    &[data-dragging] { opacity: 0.5; }
    > span { flex: 1; }
`;

const Grip = styled(AriaButton)`
    display: grid;
    place-items: center;
    width: ${size.target};
    height: ${size.target};
    padding: 0;
    border: 0;
    background: none;
    color: var(--quiet);
    cursor: grab;
    &[data-focus-visible] { outline: ${line.focus}; }
`;

interface Props {
    label: string;
    items: Option[];
    onOrder: (ids: string[]) => void;
    /** Without it, none can be taken out; of some it may be refused. */
    onRemove: (id: string) => void;
    mayRemove: (id: string) => boolean;
}

/** Things in an order that is changed by drawing one of them elsewhere, or with the keyboard: Enter on its handle, arrows, Enter. */
export function OrderedList({ label, items, onOrder, onRemove, mayRemove }: Props) {
    const { dragAndDropHooks } = useDragAndDrop({
        getItems: (keys) => [...keys].map((key) => ({ 'text/plain': items.find(({ id }) => id === key)?.name ?? '' })),
        onReorder: ({ keys, target }) => {
            const moved = items.map(({ id }) => id).filter((id) => keys.has(id));
            const rest = items.map(({ id }) => id).filter((id) => !keys.has(id));
            const at = rest.indexOf(String(target.key)) + (target.dropPosition === 'after' ? 1 : 0);
            onOrder([...rest.slice(0, at), ...moved, ...rest.slice(at)]);
        },
    });
    return (
        <List aria-label={label} items={items} dragAndDropHooks={dragAndDropHooks} selectionMode="none">
            {(item: Option) => (
                <Item id={item.id} textValue={item.name}>
                    <Grip slot="drag"><GripVertical size={16} aria-hidden /></Grip>
                    <span>{item.name}</span>
                    {mayRemove(item.id) && (
                        <QuietButton aria-label={`Take out ${item.name}`} onPress={() => onRemove(item.id)}><X size={14} aria-hidden /></QuietButton>
                    )}
                </Item>
            )}
        </List>
    );
}
