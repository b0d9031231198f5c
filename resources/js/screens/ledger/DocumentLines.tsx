import { useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { booksQuery } from '../../api/queries';
import { Button, QuietButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Field } from '../../ui/Field';
import { Mark } from '../../ui/Text';
import { narrow, size, snug, space, widths } from '../../ui/tokens';
import type { Draft, DraftLine } from './draft';

const NONE = 'none';

const Line = styled.div`
    display: grid;
    grid-template-columns: minmax(${widths.word}, 1fr) ${widths.mark} ${widths.figure} ${widths.mark} ${widths.word} ${widths.word} ${size.target};
    gap: ${space.small};
    align-items: end;
    width: 100%;
    ${snug} { grid-template-columns: minmax(${widths.figure}, 1fr) repeat(3, ${widths.mark}) ${widths.day} ${widths.day} ${size.target}; }
    ${narrow} { grid-template-columns: 1fr 1fr; > :first-child { grid-column: 1 / -1; } }
`;

interface Props {
    draft: Draft;
    side: 'client' | 'vendor';
    onChange: (lines: DraftLine[]) => void;
    problems: Record<string, string>;
    blank: () => DraftLine;
    usualAccounts: number[];
}

/** The lines of a document, each for something at a price. */
export function DocumentLines({ draft, side, onChange, problems, blank, usualAccounts }: Props) {
    const { data: books } = useQuery(booksQuery);
    const [wasAdded, setAdded] = useState(false);
    const { lines } = draft;
    const setLine = (at: number, part: Partial<DraftLine>) =>
        onChange(lines.map((line, index) => (index === at ? { ...line, ...part } : line)));
    const rates = (books?.taxRates ?? []).filter(
        (rate) => rate.side === side && (!rate.isRetired || lines.some(({ taxRateId }) => taxRateId === rate.id)),
    );
    const usable = (books?.accounts ?? []).filter(
        (account) => !account.isRetired || lines.some(({ accountId }) => accountId === account.id),
    );
    const usual = usualAccounts.map((id) => usable.find((account) => account.id === id)).filter((account) => account !== undefined);
    const accounts = [...usual, ...usable.filter((account) => !usual.includes(account))];

    return (
        <>
            {lines.map((line, at) => (
                <Line key={line.key} role="group" aria-label={`Line ${at + 1}`}>
                    <Field
                        label="For"
                        autoFocus={line.text === '' && (wasAdded ? at === lines.length - 1 : at === 0)}
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
                        isDisabled={lines.length === 1}
                        onPress={() => onChange(lines.filter((_, index) => index !== at))}
                    >
                        <X size={16} aria-hidden />
                    </QuietButton>
                </Line>
            ))}
            {problems.lines !== undefined && <Mark tone="stop">{problems.lines}</Mark>}
            <div><Button onPress={() => { setAdded(true); onChange([...lines, blank()]); }}>Add a line</Button></div>
        </>
    );
}
