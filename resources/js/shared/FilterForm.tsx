import { useState, type ReactNode } from 'react';
import { Field } from '../ui/Field';
import { FieldRow, Row } from '../ui/Text';

interface Props {
    /** What the words are looked for in. */
    label: string;
    words: string;
    onSearch: (words: string) => void;
    /** The other choices. */
    children: ReactNode;
    /** What is asked for besides, to be taken away. */
    also: ReactNode;
}

/** What a list shows: by words, which are looked for when they are left, and by choices. Key it by the words. */
export function FilterForm({ label, words, onSearch, children, also }: Props) {
    const [typed, setTyped] = useState(words);
    return (
        <form
            aria-label="What is shown"
            onSubmit={(event) => {
                event.preventDefault();
                onSearch(typed);
            }}
        >
            <FieldRow $foot>
                <Field label={label} width="name" value={typed} onChange={setTyped} onBlur={() => typed !== words && onSearch(typed)} />
                {children}
            </FieldRow>
            <Row $gap="small">{also}</Row>
        </form>
    );
}
