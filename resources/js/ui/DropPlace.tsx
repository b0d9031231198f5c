import type { ReactNode } from 'react';
import { DropZone, FileTrigger, isFileDropItem } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from './Button';
import { print, space, type } from './tokens';

const Zone = styled(DropZone)`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: ${space.small} ${space.medium};
    width: 100%;
    padding: ${space.small} ${space.medium};
    border: 1px dashed var(--edge);
    border-radius: 3px;
    color: var(--quiet);
    font-size: ${type.small};
    &[data-drop-target] { border-style: solid; background: var(--accent-wash); }
    ${print} { display: none; }
    &[data-focus-visible] { outline: 2px solid var(--accent); }
`;

interface Props {
    label: string;
    children: ReactNode;
    onFiles: (files: File[]) => void;
}

/** A place into which files are dragged, or chosen from. */
export function DropPlace({ label, children, onFiles }: Props) {
    return (
        <Zone
            aria-label={label}
            onDrop={(event) => {
                void Promise.all(event.items.filter(isFileDropItem).map((item) => item.getFile())).then(onFiles);
            }}
        >
            <FileTrigger allowsMultiple onSelect={(files) => files !== null && onFiles([...files])}>
                <Button>{label}</Button>
            </FileTrigger>
            {children}
        </Zone>
    );
}

export const Progress = styled.progress`
    width: 140px;
    height: 8px;
    accent-color: var(--accent);
`;
