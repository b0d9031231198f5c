import { useQuery } from '@tanstack/react-query';
import { useRef } from 'react';
import { letterFieldsQuery } from '../../api/queries';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Field } from '../../ui/Field';

export interface LetterDraft {
    subject: string;
    body: string;
}

interface Props {
    draft: LetterDraft;
    onChange: (draft: LetterDraft) => void;
    problems: Record<string, string>;
    /** Whether it may speak of a case or project. */
    hasEngagement: boolean;
}

/** What a letter says, with fields put in where the cursor is. */
export function LetterFields({ draft, onChange, problems, hasEngagement }: Props) {
    const { data: fields = [] } = useQuery(letterFieldsQuery(hasEngagement));
    const area = useRef<HTMLTextAreaElement>(null);
    const putIn = (name: string) => {
        const from = area.current?.selectionStart ?? draft.body.length;
        const until = area.current?.selectionEnd ?? from;
        onChange({ ...draft, body: `${draft.body.slice(0, from)}{${name}}${draft.body.slice(until)}` });
        // The list closes first, and gives the focus back to itself.
        setTimeout(() => {
            area.current?.focus();
            area.current?.setSelectionRange(from + name.length + 2, from + name.length + 2);
        });
    };
    return (
        <>
            <Field
                label="Subject"
                value={draft.subject}
                maxLength={200}
                onChange={(subject) => onChange({ ...draft, subject })}
                problem={problems.subject}
            />
            <Field
                label="What it says"
                lines={11}
                areaRef={area}
                value={draft.body}
                maxLength={20000}
                onChange={(body) => onChange({ ...draft, body })}
                problem={problems.body}
                hint="Fields between braces are filled in for each: {greeting}. After a bar, what stands there where nothing is known: {first name|friend}."
            />
            <ChooseFromMany
                label="Put in a field"
                width="line"
                options={fields.map(({ name, title }) => ({ id: name, name: name === title.toLowerCase() ? name : `${name} (${title})` }))}
                value=""
                onChange={putIn}
            />
        </>
    );
}
