import { useRef } from 'react';
import { Button } from './Button';

interface Props {
    children: string;
    onAdd: () => void;
}

/** Adds a row to a form; the cursor goes into its first field. */
export function AddRow({ children, onAdd }: Props) {
    const button = useRef<HTMLButtonElement>(null);
    const press = () => {
        const form = button.current?.closest('form, [data-section]');
        const before = new Set(form?.querySelectorAll('input, textarea'));
        onAdd();
        // Once the row is there.
        setTimeout(() => {
            const first = [...(form?.querySelectorAll<HTMLElement>('input:not([type=hidden]), textarea') ?? [])].find(
                (field) => !before.has(field) && field.tabIndex !== -1,
            );
            first?.focus();
        });
    };
    return <Button ref={button} onPress={press}>{children}</Button>;
}
