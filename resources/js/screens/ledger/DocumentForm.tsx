import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { booksQuery } from '../../api/queries';
import { useQuiet } from '../../api/useQuiet';
import { useOfficeWords } from '../../shared/officeWords';
import { useTitles } from '../../shared/titles';
import { Button, QuietButton } from '../../ui/Button';
import { asOptions, ChooseOne } from '../../ui/Choose';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Field } from '../../ui/Field';
import { TagPicker } from '../../ui/TagPicker';
import { FieldRow, Mark, Quiet, Row, Small, Stack } from '../../ui/Text';
import { narrow, snug, space } from '../../ui/tokens';

export type Draft = Omit<Schemas['DocumentInput'], 'lines'> & { lines: (Schemas['DocumentLineInput'] & { key: string })[] };

const NONE = 'none';

const Line = styled.div`
    display: grid;
    grid-template-columns: minmax(180px, 1fr) 78px 104px 84px 200px 200px 28px;
    gap: ${space.small};
    align-items: end;
    width: 100%;
    ${snug} { grid-template-columns: minmax(120px, 1fr) 70px 96px 84px 140px 140px 28px; }
    ${narrow} { grid-template-columns: 1fr 1fr; > :first-child { grid-column: 1 / -1; } }
`;

const Sums = styled.dl`
    display: grid;
    grid-template-columns: max-content max-content;
    gap: ${space.hair} ${space.large};
    justify-self: end;
    margin: 0;
    > div { display: contents; }
    dt { color: var(--quiet); }
    dd { margin: 0; text-align: right; }
    .all { font-weight: 600; border-top: 1px solid var(--ink); }
`;

/** Room for the sums before they come: the buttons below do not move away from under the hand that presses them. */
const Coming = styled.div`min-height: 92px;`;

let made = 0;

export function lineKey(): string {
    made += 1;
    return `line-${made}`;
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
    blank: () => Draft['lines'][number];
    isTheirs: boolean;
    /** Accounts that are usual with them: offered before all others. */
    usualAccounts?: number[];
}

/** The fields of a document, and what they come to. */
export function DocumentFields({ draft, onChange, problems, partyId, blank, isTheirs, usualAccounts = [] }: Props) {
    const treatments = useTitles('treatments');
    const { data: books } = useQuery(booksQuery);
    const words = useOfficeWords();
    const [wasAdded, setAdded] = useState(false);
    const set = (part: Partial<Draft>) => onChange({ ...draft, ...part });
    const setLine = (at: number, part: Partial<Draft['lines'][number]>) =>
        set({ lines: draft.lines.map((line, index) => (index === at ? { ...line, ...part } : line)) });
    const side = ['bill', 'purchase-order', 'credit-received'].includes(draft.kind) ? 'vendor' : 'client';
    const rates = (books?.taxRates ?? []).filter(
        (rate) => rate.side === side && (!rate.isRetired || draft.lines.some(({ taxRateId }) => taxRateId === rate.id)),
    );
    const usable = (books?.accounts ?? []).filter(
        (account) => !account.isRetired || draft.lines.some(({ accountId }) => accountId === account.id),
    );
    const usual = usualAccounts.map((id) => usable.find((account) => account.id === id)).filter((account) => account !== undefined);
    const accounts = [...usual, ...usable.filter((account) => !usual.includes(account))];
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
            {draft.lines.map((line, at) => (
                <Line key={line.key} role="group" aria-label={`Line ${at + 1}`}>
                    <Field
                        label="For"
                        autoFocus={line.text === '' && (wasAdded ? at === draft.lines.length - 1 : at === 0)}
                        value={line.text}
                        onChange={(text) => setLine(at, { text })}
                        problem={problems[`lines.${at}.text`]}
                    />
                    <Field
                        label="Quantity"
                        placeholder="1"
                        value={line.quantity}
                        onChange={(quantity) => setLine(at, { quantity })}
                        problem={problems[`lines.${at}.quantity`]}
                    />
                    <Field
                        label="Price"
                        value={line.price}
                        onChange={(price) => setLine(at, { price })}
                        problem={problems[`lines.${at}.price`]}
                    />
                    <Field
                        label="Discount, %"
                        value={line.discount}
                        onChange={(discount) => setLine(at, { discount })}
                        problem={problems[`lines.${at}.discount`]}
                    />
                    <ChooseOne
                        label="Tax rate"
                        options={[{ id: NONE, name: 'none' }, ...rates.map(({ id, text }) => ({ id: String(id), name: text }))]}
                        value={line.taxRateId === null ? NONE : String(line.taxRateId)}
                        onChange={(id) => setLine(at, { taxRateId: id === NONE ? null : Number(id) })}
                        problem={problems[`lines.${at}.taxRateId`]}
                    />
                    <ChooseFromMany
                        label="Account"
                        options={[
                            { id: NONE, name: 'none' },
                            ...accounts.map(({ id, code, name }) => ({
                                id: String(id),
                                name:
                                    usual.some((one) => one.id === id) && usual.length > 1 ? `${code} ${name} (usual)` : `${code} ${name}`,
                            })),
                        ]}
                        value={line.accountId === null ? NONE : String(line.accountId)}
                        onChange={(id) => setLine(at, { accountId: id === NONE ? null : Number(id) })}
                        problem={problems[`lines.${at}.accountId`]}
                    />
                    <QuietButton
                        aria-label={`Remove line ${at + 1}`}
                        isDisabled={draft.lines.length === 1}
                        onPress={() => set({ lines: draft.lines.filter((_, index) => index !== at) })}
                    >
                        <X size={16} aria-hidden />
                    </QuietButton>
                </Line>
            ))}
            {problems.lines !== undefined && <Mark tone="stop">{problems.lines}</Mark>}
            <div><Button onPress={() => { setAdded(true); set({ lines: [...draft.lines, blank()] }); }}>Add a line</Button></div>
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

/** Cautions and the credit limit, before anything is saved. */
export function UseNotes({ use }: { use: Schemas['DocumentUse'] }) {
    return (
        <Stack $gap="tight">
            {use.stops.map((text) => (
                <Mark key={text} tone="stop">
                    Stop: {text}
                </Mark>
            ))}
            {use.notes.map((text) => (
                <Mark key={text} tone="look">
                    {text}
                </Mark>
            ))}
            {use.creditSentence !== '' &&
                (use.policy === null ? (
                    <Quiet>{use.creditSentence}</Quiet>
                ) : (
                    <Mark tone={use.policy === 'tell' ? 'look' : 'stop'}>{use.creditSentence}</Mark>
                ))}
        </Stack>
    );
}

export function TotalsOf({ totals, currency }: { totals: Schemas['Totals']; currency: string }): ReactNode {
    const taxed = totals.taxes.filter(({ tax, rate }) => tax.sign !== 0 || rate !== '0%');
    return (
        <Row $end>
            <Sums>
                {taxed.length > 0 && <><dt>Without tax</dt><dd>{totals.net.text}</dd></>}
                {taxed.map(({ rate, taxable, tax }) => (
                    <div key={rate}><dt>Tax {rate} on {taxable.text}</dt><dd>{tax.text}</dd></div>
                ))}
                <dt className="all">Total, {currency}</dt><dd className="all">{totals.gross.text}</dd>
            </Sums>
        </Row>
    );
}
