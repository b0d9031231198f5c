import { useRef, useState, type ReactNode } from 'react';
import { Dialog as AriaDialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { Button, MainButton } from './Button';
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

/**
 * Something that has to be answered before anything else. Without onClose it cannot be put aside; one with
 * something typed in it asks before it is.
 */
export function Dialog({ title, onClose, children, role = 'dialog', isWide = false }: Props) {
    const content = useRef<HTMLDivElement>(null);
    const [isAsking, setAsking] = useState(false);
    const close = () => content.current?.querySelector('form[data-typed]') == null ? onClose?.() : setAsking(true);
    return (
        <Veil
            isOpen
            isDismissable={onClose !== undefined}
            isKeyboardDismissDisabled={onClose === undefined}
            onOpenChange={(isOpen) => !isOpen && close()}
        >
            <Card $isWide={isWide}>
                <Content role={role}>
                    <Title slot="title">{title}</Title>
                    <div ref={content} style={{ display: 'contents' }}>{children}</div>
                    {isAsking && <LeaveQuestion onStay={() => setAsking(false)} onLeave={() => onClose?.()} />}
                </Content>
            </Card>
        </Veil>
    );
}

interface QuestionProps {
    /** What would be lost. */
    children?: ReactNode;
    onStay: () => void;
    onLeave: () => void;
}

/** Asked before something typed is lost. */
export function LeaveQuestion({ children = 'What you typed here is not saved yet.', onStay, onLeave }: QuestionProps) {
    return (
        <Dialog title="Leave without saving?" role="alertdialog" onClose={onStay}>
            <p>{children}</p>
            <DialogButtons>
                <MainButton autoFocus onPress={onStay}>Stay here</MainButton>
                <Button onPress={onLeave}>Leave without saving</Button>
            </DialogButtons>
        </Dialog>
    );
}
