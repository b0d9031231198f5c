import type { ReactNode } from 'react';
import { Dialog as AriaDialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { space, type } from './tokens';

const Veil = styled(ModalOverlay)`
    position: fixed;
    inset: 0;
    z-index: 50;
    display: grid;
    place-items: start center;
    padding: 12vh ${space.large} ${space.large};
    background: rgb(0 0 0 / 38%);
    overflow: auto;
`;

const Card = styled(Modal)<{ $isWide: boolean }>`
    width: min(${({ $isWide }) => $isWide ? '960px' : '480px'}, 100%);
    padding: ${space.large};
    border: 1px solid var(--edge);
    border-radius: 4px;
    background: var(--sheet);
    color: var(--ink);
`;

const Content = styled(AriaDialog)`
    display: grid;
    gap: ${space.medium};
    outline: none;
`;

const Title = styled(Heading)`
    font: 600 20px/1.3 ${type.serif};
`;

export const DialogButtons = styled.div`
    display: flex;
    flex-wrap: wrap;
    gap: ${space.small};
    margin-top: ${space.small};
`;

interface Props {
    title: string;
    onClose?: () => void;
    children: ReactNode;
    role?: 'dialog' | 'alertdialog';
    isWide?: boolean;
}

/** Something that has to be answered before anything else. Without onClose it cannot be put aside. */
export function Dialog({ title, onClose, children, role = 'dialog', isWide = false }: Props) {
    return (
        <Veil
            isOpen
            isDismissable={onClose !== undefined}
            isKeyboardDismissDisabled={onClose === undefined}
            onOpenChange={(isOpen) => !isOpen && onClose?.()}
        >
            <Card $isWide={isWide}>
                <Content role={role}>
                    <Title slot="title">{title}</Title>
                    {children}
                </Content>
            </Card>
        </Veil>
    );
}
