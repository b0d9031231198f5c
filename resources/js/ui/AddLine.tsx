import { Plus } from 'lucide-react';
import styled from 'styled-components';
import { space } from './tokens';

const Root = styled.span`
    display: grid;
    grid-template-columns: 18px minmax(0, 1fr);
    gap: ${space.small};
    align-items: center;
    color: var(--accent);
    overflow-wrap: anywhere;
`;

/** The last lines below what was found: add what was not. */
export function AddLine({ what, name }: { what: string; name: string }) {
    return <Root><Plus size={15} aria-hidden /><span>Add {what} named “{name}”</span></Root>;
}
