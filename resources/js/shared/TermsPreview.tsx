import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { previewQuery } from '../api/queries';
import { useQuiet } from '../api/useQuiet';
import { Field } from '../ui/Field';
import { Mark, Small } from '../ui/Text';
import { print, space, widths } from '../ui/tokens';

const Root = styled.div`
    display: grid;
    grid-template-columns: ${widths.day} minmax(0, 1fr);
    gap: ${space.tight} ${space.large};
    width: 100%;
    padding: ${space.small} ${space.medium};
    background: var(--wash);
    ${print} { display: block; background: none; padding: 0; > :first-child { display: none; } }
`;

const Answer = styled.div`
    display: grid;
    align-content: center;
    gap: ${space.hair};
    /* As high as most answers are, so that nothing below moves while somebody presses it. */
    min-height: 5em;
`;

interface Props {
    /** "An invoice", "A bill". */
    what: string;
    terms: string;
}

/** When a document of any date would be due on these terms, and why: worked out by the server as it is typed. */
export function TermsPreview({ what, terms }: Props) {
    const [date, setDate] = useState('');
    const asked = useQuiet(date.trim() === '' ? 'today' : date);
    const { data, error, isFetching } = useQuery({ ...previewQuery(useQuiet(terms), asked), placeholderData: keepPreviousData });
    const problems = Object.fromEntries((data?.problems ?? []).map(({ field, message }) => [field, message]));
    const others = error?.message ?? problems.terms;

    return (
        <Root>
            <Field label={`${what} dated`} placeholder="today" value={date} onChange={setDate} problem={problems.documentDate} />
            <Answer aria-live="polite" aria-busy={isFetching}>
                {others !== undefined && <Mark tone="look">{others}</Mark>}
                {error === null && data?.preview != null && <Due what={what} preview={data.preview} />}
            </Answer>
        </Root>
    );
}

function Due({ what, preview }: { what: string; preview: Schemas['TermsPreview'] }) {
    const { parts, discount } = preview;
    return (
        <>
            <span>
                {what} of {preview.documentDateText} is due <strong>{preview.dueText}</strong>
                {parts.length > 1 && ', the last part'}.
            </span>
            {parts.map((part) => (
                <Small key={part.due + part.percent}>{parts.length > 1 && `${part.percent} on ${part.dueText}. `}{part.sentence}</Small>
            ))}
            {discount !== null && <span>{discount.sentence}</span>}
        </>
    );
}
