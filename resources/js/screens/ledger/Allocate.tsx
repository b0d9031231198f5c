import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { forgetLedger, paymentPreviewQuery } from '../../api/queries';
import { useQuiet } from '../../api/useQuiet';
import { useSaving } from '../../api/useSaving';
import { documentName, DueText } from '../../shared/DocumentTable';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { Mark, Notice, Quiet, Row, Small } from '../../ui/Text';

export type Allocations = Record<number, { amount: string; discount: string }>;

export function allocationsOf(allocations: Allocations): Schemas['AllocationInput'][] {
    return Object.entries(allocations)
        .filter(([, { amount, discount }]) => amount.trim() !== '' || discount.trim() !== '')
        .map(([id, { amount, discount }]) => ({ documentId: Number(id), amount, discount }));
}

/** What money is used on, as typed or else as proposed, and what the server makes of it. */
export function useAllocations(
    partyId: number,
    money: Omit<Schemas['PaymentPreviewInput'], 'allocations'>,
    typed: Allocations | undefined,
) {
    const asked = useQuiet({ ...money, allocations: typed === undefined ? null : allocationsOf(typed) });
    const { data: preview } = useQuery({ ...paymentPreviewQuery(partyId, asked), placeholderData: keepPreviousData });
    // Until somebody says otherwise the oldest are settled first.
    const allocations: Allocations =
        typed ?? Object.fromEntries((preview?.documents ?? []).map(({ row, proposed }) => [row.id, { amount: proposed, discount: '' }]));
    return { allocations, preview };
}

/** What stays over, or is lacking. */
export function LeftOver({ preview }: { preview: Schemas['PaymentPreview'] | undefined }) {
    const left = preview?.left;
    return (
        <div aria-live="polite">
            {left != null && (preview?.isTooMuch === true
                ? <Mark tone="stop">{left.text} more is used than there is</Mark>
                : <Quiet>{left.text} stays unallocated</Quiet>)}
        </div>
    );
}

interface RowsProps {
    open: Schemas['OpenDocument'][];
    allocations: Allocations;
    onChange: (allocations: Allocations) => void;
    problems: Record<string, string>;
    withDiscount: boolean;
}

/** Open documents, each with how much of the money is used on it. */
export function AllocationRows({ open, allocations, onChange, problems, withDiscount }: RowsProps) {
    const sent = allocationsOf(allocations).map(({ documentId }) => documentId);
    const set = (id: number, part: Partial<Allocations[number]>) =>
        onChange({ ...allocations, [id]: { amount: '', discount: '', ...allocations[id], ...part } });
    if (open.length === 0) {
        return <Quiet>Nothing is open in this currency. The money stays unallocated until something is.</Quiet>;
    }
    return (
        <TableScroll>
            <Table>
                <thead>
                    <tr>
                        <th>Document</th>
                        <th>Due</th>
                        <th className="figure">Open</th>
                        {withDiscount && <th>Discount taken</th>}
                        <th>Used on it</th>
                    </tr>
                </thead>
                <tbody>
                    {open.map(({ row, discount, afterDiscount }) => {
                        const problem = problems[`allocations.${sent.indexOf(row.id)}.amount`];
                        return (
                            <tr key={row.id}>
                                <td className="tight">{documentName(row)}</td>
                                <td><DueText row={row} /></td>
                                <td className="figure">{row.open.text}</td>
                                {withDiscount && (
                                    <td>
                                        {discount !== null && (
                                            <Row $gap="small">
                                                <Field
                                                    aria-label={`Discount on ${documentName(row)}`}
                                                    label=""
                                                    width="figure"
                                                    value={allocations[row.id]?.discount ?? ''}
                                                    onChange={(typed) => set(row.id, { discount: typed })}
                                                />
                                                <QuietButton
                                                    onPress={() =>
                                                        set(row.id, { discount: discount.amount, amount: afterDiscount?.amount ?? '' })
                                                    }
                                                >
                                                    take {discount.text}
                                                </QuietButton>
                                            </Row>
                                        )}
                                    </td>
                                )}
                                <td>
                                    <Row $gap="small">
                                        <Field
                                            aria-label={`Used on ${documentName(row)}`}
                                            label=""
                                            width="code"
                                            value={allocations[row.id]?.amount ?? ''}
                                            onChange={(typed) => set(row.id, { amount: typed })}
                                            problem={problem}
                                        />
                                        <QuietButton
                                            aria-label={`All of ${documentName(row)}`}
                                            onPress={() => set(row.id, { amount: row.open.amount })}
                                        >
                                            all
                                        </QuietButton>
                                    </Row>
                                </td>
                            </tr>
                        );
                    })}
                </tbody>
            </Table>
        </TableScroll>
    );
}

interface Props {
    partyId: number;
    side: 'client' | 'vendor';
    currency: string;
    available: string;
    action: string;
    onClose: () => void;
    run: (allocations: Schemas['AllocationInput'][]) => Promise<unknown>;
}

/** Allocates what is left of money or of a credit on open documents; the oldest first is proposed. */
export function Allocate({ partyId, side, currency, available, action, onClose, run }: Props) {
    const [typed, setTyped] = useState<Allocations>();
    const { allocations, preview } = useAllocations(partyId, { side, day: '', currency, amount: available, firstId: null }, typed);
    const open = preview?.documents;
    const { run: saving, problems, message } = useSaving();
    const say = useSay();
    return (
        <Form
            $stretch
            onSubmit={(event) => {
                event.preventDefault();
                void saving(async () => {
                    await run(allocationsOf(allocations));
                    forgetLedger();
                    say('Used.');
                    onClose();
                });
            }}
        >
            <Small>{currency} {available} can be used. The oldest first is proposed.</Small>
            {open !== undefined && (
                <AllocationRows
                    open={open}
                    allocations={allocations}
                    onChange={setTyped}
                    problems={problems}
                    withDiscount={false}
                />
            )}
            <LeftOver preview={preview} />
            {problems.allocations !== undefined && <Mark tone="stop">{problems.allocations}</Mark>}
            {message !== undefined && <Notice tone="stop" title="Not done">{message}</Notice>}
            <Row $gap="small"><MainButton type="submit">{action}</MainButton><Button onPress={onClose}>Cancel</Button></Row>
        </Form>
    );
}
