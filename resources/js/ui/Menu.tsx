import { ChevronDown } from 'lucide-react';
import type { ReactNode } from 'react';
import { Menu as AriaMenu, MenuItem, MenuTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { QuietButton } from './Button';
import { Panel } from './Choose';
import { space } from './tokens';

const List = styled(AriaMenu)`
    min-width: 200px;
    padding: ${space.tight};
    outline: none;
`;

const Item = styled(MenuItem)`
    padding: 5px 10px;
    border-radius: 2px;
    cursor: pointer;
    outline: none;
    &[data-focused] { background: var(--accent-wash); }
`;

interface Props {
    label: ReactNode;
    items: { id: string; name: string; onChoose: () => void }[];
}

export function Menu({ label, items }: Props) {
    return (
        <MenuTrigger>
            <QuietButton>{label}<ChevronDown size={15} aria-hidden /></QuietButton>
            <Panel>
                <List onAction={(key) => items.find((item) => item.id === key)?.onChoose()}>
                    {items.map((item) => <Item key={item.id} id={item.id}>{item.name}</Item>)}
                </List>
            </Panel>
        </MenuTrigger>
    );
}
