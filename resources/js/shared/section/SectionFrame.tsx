import { useEffect, useLayoutEffect, useRef, useState, type FormEvent, type KeyboardEvent, type ReactNode } from 'react';
import styled, { css } from 'styled-components';
import { Refused } from '../../api/client';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { LeaveQuestion } from '../../ui/Dialog';
import { Heading, Quiet, Row, Small, Stack } from '../../ui/Text';
import { line, print, size, snug, space, widths } from '../../ui/tokens';
import { SaveFailure } from './SaveFailure';
import { TouchedDialog } from './TouchedDialog';
import { isLeaveKey, takesSaveKey } from '../../ui/saveKeys';
import type { SectionEdit } from './useSection';

const Root = styled.section<{ $isFolded: boolean }>`
    display: grid;
    grid-template-columns: ${widths.day} minmax(0, 1fr);
    gap: ${space.small} ${space.large};
    padding: ${space.large} 0;
    border-top: ${line.rule};
    scroll-margin-top: ${size.head};

    &:focus { outline: none; }
    &:focus-visible { outline: ${line.focus}; outline-offset: ${space.tight}; }
    ${snug} { grid-template-columns: minmax(0, 1fr); }
    ${print} { grid-template-columns: ${widths.figure} minmax(0, 1fr); padding: ${space.small} 0; break-inside: avoid; }

    /* An empty section: its title and the first step, in one line. */
    ${({ $isFolded }) => $isFolded && css`
        align-items: baseline;
        padding: ${space.small} 0;
        ${print} { display: none; }
    `}
`;

const Head = styled.div`
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: ${space.tight};
    button { margin-left: -${size.beside}; }
`;

const EditForm = styled.form`
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: ${space.medium};
    justify-items: start;
    min-width: 0;
`;

interface FrameProps {
    id: string;
    title: string;
    /** Whether it stays in the office: it is marked, and never printed. */
    isInternal?: boolean;
    /** What stands below the title, such as Edit. */
    tools?: ReactNode;
    /** What it says in one line while there is nothing in it, or nothing that concerns this record. */
    folded?: string | undefined;
    children: ReactNode;
}

/** A section of the page: its title at the left, what it says beside it. */
export function PlainSection({ id, title, tools, children, folded, isInternal = false }: FrameProps) {
    return (
        <Root
            id={id}
            data-section
            tabIndex={-1}
            $isFolded={folded !== undefined}
            aria-labelledby={`${id}-title`}
            {...(isInternal ? { className: 'internal' } : {})}
        >
            {folded === undefined ? (
                <>
                    <Head>
                        <Heading id={`${id}-title`}>{title}</Heading>
                        {isInternal && <Small>stays in the office</Small>}
                        {tools}
                    </Head>
                    {children}
                </>
            ) : (
                <>
                    <Heading id={`${id}-title`}>{title}</Heading>
                    <Row $gap="small"><Quiet>{folded}</Quiet>{tools}</Row>
                </>
            )}
        </Root>
    );
}

interface Props<D> {
    edit: SectionEdit<D>;
    read: ReactNode;
    fields: (draft: D) => ReactNode;
    saveLabel: string;
    /** What it says in one line while it is empty. */
    folded?: string | undefined;
}

/** A section that is edited where it stands. */
export function SectionFrame<D>({ edit, read, fields, saveLabel, folded }: Props<D>) {
    const { name, title, mayEdit, draft, begin } = edit;
    const editButton = useRef<HTMLButtonElement>(null);
    const wasEditing = useRef(false);

    // Before anything is painted, so that the next key finds it.
    useLayoutEffect(() => {
        if (draft === undefined && wasEditing.current) {
            editButton.current?.focus();
        }
        wasEditing.current = draft !== undefined;
    }, [draft]);

    return (
        <PlainSection
            id={name}
            title={title}
            folded={draft === undefined ? folded : undefined}
            tools={draft === undefined && mayEdit && (
                <QuietButton ref={editButton} data-edit onPress={begin} aria-label={`Edit ${title}`}>Edit</QuietButton>
            )}
        >
            {draft === undefined
                ? <Stack $gap="small">{read}</Stack>
                : <SectionForm edit={edit} saveLabel={saveLabel}>{fields(draft)}</SectionForm>}
        </PlainSection>
    );
}

/** The fields of a section with their buttons; Ctrl+Enter saves, Esc leaves and asks when something would be lost. */
export function SectionForm<D>({ edit, saveLabel, children }: { edit: SectionEdit<D>; saveLabel: string; children: ReactNode }) {
    const form = useRef<HTMLFormElement>(null);
    const [isAsking, setAsking] = useState(false);
    const { failure, isBusy, isDirty, leave, save } = edit;

    useEffect(() => {
        const first = form.current?.querySelector<HTMLElement>('input, textarea') ?? form.current?.querySelector('button');
        first?.focus();
    }, []);

    useEffect(() => {
        if (failure !== undefined) {
            const place = form.current?.querySelector<HTMLElement>('[aria-invalid=true]')
                ?? form.current?.querySelector<HTMLElement>('[data-failure]');
            place?.focus();
        }
    }, [failure]);

    const tryToLeave = () => isDirty ? setAsking(true) : leave();

    const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
        if (isLeaveKey(event) && !isAsking) {
            event.preventDefault();
            tryToLeave();
        }
    };

    return (
        <EditForm
            ref={form}
            noValidate
            onKeyDownCapture={(event) => takesSaveKey(event) && void save()}
            onKeyDown={onKeyDown}
            onSubmit={(event: FormEvent) => {
                event.preventDefault();
                void save();
            }}
        >
            {children}
            <SaveFailure edit={edit} />
            <Row $gap="small">
                {!(failure instanceof Refused && failure.isStale) && <MainButton type="submit" isDisabled={isBusy}>{saveLabel}</MainButton>}
                <Button onPress={tryToLeave}>Cancel</Button>
                <Quiet aria-hidden>{isBusy ? 'Saving …' : 'Ctrl+Enter saves, Esc leaves'}</Quiet>
            </Row>
            {edit.touched !== undefined && (
                <TouchedDialog touched={edit.touched} onAnswer={(ids, withTerms) => void edit.answerTouched(ids, withTerms)} />
            )}
            {isAsking && (
                <LeaveQuestion onStay={() => setAsking(false)} onLeave={leave}>
                    What you changed in “{edit.title}” is not saved yet.
                </LeaveQuestion>
            )}
        </EditForm>
    );
}
