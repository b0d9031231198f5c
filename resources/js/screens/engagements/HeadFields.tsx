import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../../api/client';
import { booksQuery, choicesQuery } from '../../api/queries';
import { asOptions, byNumber, ChooseOne, ChooseSeveral, Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { FieldRow, Mark, Stack } from '../../ui/Text';
import type { HeadDraft } from './sections';

interface Props {
    draft: HeadDraft;
    problems: Record<string, string>;
    /** What its stage means: an enquiry has a value and a chance. */
    meaning: Schemas['Stage']['meaning'];
    onChange: (draft: HeadDraft) => void;
}

/** What it is called, who looks after it, what was agreed, and what an enquiry may come to. */
export function HeadFields({ draft, problems, meaning, onChange }: Props) {
    const { data: choices } = useQuery(choicesQuery);
    const { data: books } = useQuery(booksQuery);
    const set = (part: Partial<HeadDraft>) => onChange({ ...draft, ...part });
    const colleagues = byNumber(choices?.colleagues ?? []);
    const isEnquiry = meaning === 'enquiry' || draft.value !== '';

    return (
        <Stack $wide>
            <Field label="Title" width="full" value={draft.title} onChange={(title) => set({ title })} problem={problems.title} />
            <FieldRow>
                <ChooseOne
                    label="Looked after by"
                    width="name"
                    options={[{ id: 'none', name: 'nobody yet' }, ...colleagues]}
                    value={draft.ownerId === null ? 'none' : String(draft.ownerId)}
                    onChange={(id) => set({ ownerId: id === 'none' ? null : Number(id) })}
                    problem={problems.ownerId}
                />
                <Field
                    label="Agreed fee or budget"
                    width="day"
                    value={draft.agreed}
                    onChange={(agreed) => set({ agreed })}
                    problem={problems.agreed}
                />
                <ChooseOne
                    label="Currency"
                    width="figure"
                    options={asOptions(books?.currencies ?? [draft.currency])}
                    value={draft.currency}
                    onChange={(currency) => set({ currency })}
                    problem={problems.currency}
                />
                <Field
                    label="Payment terms"
                    width="code"
                    placeholder="as the client"
                    value={draft.terms}
                    onChange={(terms) => set({ terms })}
                    problem={problems.terms}
                />
            </FieldRow>
            {isEnquiry && (
                <FieldRow>
                    <Field
                        label="Expected value"
                        width="day"
                        value={draft.value}
                        onChange={(value) => set({ value })}
                        problem={problems.value}
                    />
                    <Field
                        label="Chance, %"
                        width="mark"
                        placeholder="100"
                        value={draft.chance}
                        onChange={(chance) => set({ chance })}
                        problem={problems.chance}
                    />
                    <Field
                        label="Decision expected"
                        width="day"
                        value={draft.decidedOn}
                        onChange={(decidedOn) => set({ decidedOn })}
                        problem={problems.decidedOn}
                    />
                </FieldRow>
            )}
            <Tick isSelected={draft.isPrivate} onChange={(isPrivate) => set({ isPrivate })}>
                private: only those named here may see it
            </Tick>
            {draft.isPrivate && (
                <>
                    <ChooseSeveral
                        label="Who may see it"
                        options={colleagues}
                        value={draft.readerIds.map(String)}
                        onChange={(ids) => set({ readerIds: ids.map(Number) })}
                    />
                    {problems.readerIds !== undefined && <Mark tone="stop">{problems.readerIds}</Mark>}
                </>
            )}
        </Stack>
    );
}
