import { keepPreviousData, useQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { booksQuery } from '../../api/queries';
import { useQuiet } from '../../api/useQuiet';
import { useOfficeWords } from '../../shared/officeWords';
import { useTitles } from '../../shared/titles';
import { asOptions, ChooseOne } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { TagPicker } from '../../ui/TagPicker';
import { FieldRow, Small, Stack } from '../../ui/Text';
import { ForEngagement } from './ForEngagement';
import { DocumentLines } from './DocumentLines';
import type { Draft, DraftLine } from './draft';
import { TotalsOf, UseNotes } from './DocumentTotals';

/** Room for the sums before they come: the buttons below do not move away from under the hand that presses them. */
const Coming = styled.div`min-height: 11em;`;

let made = 0;

export function lineKey(): string {
    made += 1;
    return `line-${made}`;
}

/** A line to be filled in, as it is set for them. */
export function blankLine(defaults: Schemas['DocumentDefaults']): Draft['lines'][number] {
    return {
        key: lineKey(),
        text: '',
        quantity: '',
        price: '',
        discount: defaults.discount,
        taxRateId: defaults.taxRateId,
        accountId: defaults.accountId,
        costCentreIds: defaults.costCentreIds,
    };
}

/** The body that is sent: without what only the form needs. */
export function bodyOf(draft: Draft): Schemas['DocumentInput'] {
    return { ...draft, lines: draft.lines.map(({ key, ...line }) => line) };
}

/** What the document would be, worked out by the server while it is written. */
export function usePreview(partyId: number, draft: Draft) {
    const asked = useQuiet(draft);
    const isReady = asked.lines.some(({ text, price }) => text.trim() !== '' && price.trim() !== '');
    const body = bodyOf({ ...asked, lines: asked.lines.filter(({ text, price }) => text.trim() !== '' || price.trim() !== '') });
    return useQuery({
        queryKey: ['ledger', 'document-preview', partyId, body],
        queryFn: ({ signal }) => ask(api.POST('/api/parties/{id}/document-preview', { params: { path: { id: partyId } }, body, signal })),
        enabled: isReady,
        placeholderData: keepPreviousData,
        retry: false,
        staleTime: 0,
    });
}

interface Props {
    draft: Draft;
    onChange: (draft: Draft) => void;
    problems: Record<string, string>;
    partyId: number;
    blank: () => DraftLine;
    isTheirs: boolean;
    /** Accounts that are usual with them: offered before all others. */
    usualAccounts?: number[];
}

/** The fields of a document, and what they come to. */
export function DocumentFields({ draft, onChange, problems, partyId, blank, isTheirs, usualAccounts = [] }: Props) {
    const treatments = useTitles('treatments');
    const { data: books } = useQuery(booksQuery);
    const words = useOfficeWords();
    const set = (part: Partial<Draft>) => onChange({ ...draft, ...part });
    const side = ['bill', 'purchase-order', 'credit-received'].includes(draft.kind) ? 'vendor' : 'client';
    const centres = books?.costCentres ?? [];
    const isPromise = draft.kind === 'quote' || draft.kind === 'order' || draft.kind === 'purchase-order';
    const isCredit = draft.kind === 'credit-note' || draft.kind === 'credit-received';

    return (
        <Stack $wide $stretch>
            <FieldRow>
                {isTheirs && (
                    <Field
                        label="Number on it"
                        width="day"
                        value={draft.number}
                        onChange={(number) => set({ number })}
                        problem={problems.number}
                    />
                )}
                <Field
                    label="Date"
                    width="code"
                    placeholder="today"
                    value={draft.date}
                    onChange={(date) => set({ date })}
                    problem={problems.date}
                />
                {draft.kind === 'quote' && (
                    <Field
                        label="Valid until"
                        width="code"
                        value={draft.validUntil ?? ''}
                        onChange={(validUntil) => set({ validUntil })}
                        problem={problems.validUntil}
                    />
                )}
                {!isCredit && (
                    <Field
                        label="Payment terms"
                        width="day"
                        placeholder="net 30"
                        value={draft.terms}
                        onChange={(terms) => set({ terms })}
                        problem={problems.terms}
                    />
                )}
                {!isPromise && !isCredit && (
                    <Field
                        label="Due, if not by the terms"
                        width="day"
                        value={draft.due}
                        onChange={(due) => set({ due })}
                        problem={problems.due}
                    />
                )}
                <ChooseOne
                    label="Currency"
                    width="figure"
                    options={asOptions([...new Set([...books?.currencies ?? [], draft.currency])])}
                    value={draft.currency}
                    onChange={(currency) => set({ currency })}
                    problem={problems.currency}
                />
                <ChooseOne
                    label="Tax"
                    width="name"
                    options={treatments}
                    value={draft.treatment}
                    onChange={(treatment) => set({ treatment })}
                />
                <Field
                    label={side === 'client' ? 'Their reference' : 'Our reference'}
                    width="word"
                    value={draft.reference}
                    onChange={(reference) => set({ reference })}
                    problem={problems.reference}
                />
            </FieldRow>
            {centres.length > 0 && (
                <TagPicker
                    label={`${words.costCentres} of its lines`}
                    options={centres.filter(({ isRetired }) => !isRetired).map(({ group, name }) => `${group}: ${name}`)}
                    value={centres
                        .filter(({ id }) => draft.lines[0]?.costCentreIds.includes(id))
                        .map(({ group, name }) => `${group}: ${name}`)}
                    onChange={(names) =>
                        set({
                            lines: draft.lines.map((line) => ({
                                ...line,
                                costCentreIds: centres.filter(({ group, name }) => names.includes(`${group}: ${name}`)).map(({ id }) => id),
                            })),
                        })
                    }
                    problem={problems['lines.0.costCentreIds']}
                />
            )}
            <DocumentLines
                draft={draft}
                side={side}
                onChange={(lines) => set({ lines })}
                problems={problems}
                blank={blank}
                usualAccounts={usualAccounts}
            />
            <ForEngagement
                partyId={partyId}
                value={draft.engagementId ?? null}
                onChange={(engagementId) => set({ engagementId })}
                problem={problems.engagementId}
            />
            <Field label="Note on it" lines={2} value={draft.note} onChange={(note) => set({ note })} problem={problems.note} />
            <Preview partyId={partyId} draft={draft} />
        </Stack>
    );
}

function Preview({ partyId, draft }: { partyId: number; draft: Draft }) {
    const { data } = usePreview(partyId, draft);
    const found = data?.document;
    return (
        <Coming aria-live="polite">
            {data?.problems[0] !== undefined && <Small>{data.problems[0].message}</Small>}
            {data !== undefined && (
                <Stack $gap="small" $stretch>
                    {found != null && <TotalsOf totals={found.totals} currency={found.currency} />}
                    {found != null && found.row.dueText !== '' && (
                        <p>
                            Due <strong>{found.row.dueText}</strong>. <Small>{found.dueSentence}</Small>
                        </p>
                    )}
                    <UseNotes use={data.use} />
                </Stack>
            )}
        </Coming>
    );
}
