import { useQuery } from '@tanstack/react-query';
import { useLayoutEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { booksQuery, documentDefaultsQuery, documentQuery, forgetLedger, recordQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { useTitles } from '../../shared/titles';
import { Unread } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { Button, MainButton } from '../../ui/Button';
import { asOptions, ChooseOne } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Heading, Mark, Notice, Row, Small, Stack, Title } from '../../ui/Text';
import { AllocationRows, LeftOver, useAllocations, allocationsOf, type Allocations } from './Allocate';
import { UseNotes } from './DocumentTotals';
import { ForEngagement } from './ForEngagement';

/** Money that came from a client, or went to a vendor. */
export function TakePayment() {
    const { id, side: asked } = useParams();
    const side = asked === 'vendor' ? 'vendor' : 'client';
    const partyId = Number(id);
    const { data: record, error, refetch } = useQuery(recordQuery(partyId));
    const { data: defaults } = useQuery(documentDefaultsQuery(partyId, side === 'client' ? 'invoice' : 'bill'));
    const title = side === 'client' ? 'Payment received' : 'Payment made';
    useTitle(title);
    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={record === undefined || defaults === undefined}>
            {error !== null && <Unread what="The record" error={error} retry={() => void refetch()} />}
            {record !== undefined && defaults !== undefined && (
                <Stack $stretch>
                    <Row>
                        <Title>{title}</Title>
                        <span>
                            {side === 'client' ? 'from' : 'to'} <Link to={`/records/${partyId}`}>{record.party.displayName}</Link>
                        </span>
                    </Row>
                    {side === 'vendor' && <UseNotes use={{ ...defaults.use, creditSentence: '' }} />}
                    <PaymentForm partyId={partyId} side={side} defaults={defaults} />
                </Stack>
            )}
        </Sheet>
    );
}

function PaymentForm({ partyId, side, defaults }: { partyId: number; side: 'client' | 'vendor'; defaults: Schemas['DocumentDefaults'] }) {
    const [search] = useSearchParams();
    const { data: books } = useQuery(booksQuery);
    const ways = useTitles('waysToPay');
    const [draft, setDraft] = useState({
        day: '',
        amount: undefined as string | undefined,
        currency: search.get('currency') ?? defaults.currency,
        payBy: side === 'vendor' ? defaults.payBy : 'transfer',
        reference: '',
        bankDetailId: null as number | null,
        engagementId: undefined as number | null | undefined,
    });
    const [typed, setTyped] = useState<Allocations>();
    const { run, problems, message } = useSaving();
    const navigate = useNavigate();
    const say = useSay();
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
    const firstId = Number(search.get('document')) || null;
    const { data: first } = useQuery({ ...documentQuery(firstId ?? 0), enabled: firstId !== null });
    // As the document that it came for, unless somebody says otherwise.
    const engagementId = draft.engagementId === undefined ? (first?.engagement?.id ?? null) : draft.engagementId;
    const { allocations, preview } = useAllocations(
        partyId,
        { side, day: draft.day, currency: draft.currency, amount: draft.amount ?? '', firstId },
        typed,
    );
    // Until an amount is typed, it is what is used in all.
    const amount = draft.amount ?? (preview === undefined || preview.used.sign === 0 ? '' : preview.used.amount);
    const amountField = useRef<HTMLInputElement>(null);
    const isProposed = draft.amount === undefined;
    // What is typed takes the place of what is proposed, and does not go on behind it.
    useLayoutEffect(() => {
        if (isProposed && document.activeElement === amountField.current) {
            amountField.current?.select();
        }
    }, [amount, isProposed]);
    const open = preview?.documents;
    const closed = defaults.closedWays.find(({ way }) => way === draft.payBy);
    const leave = () => void navigate(`/records/${partyId}#documents`);
    const save = () => run(async () => {
        // What nobody has changed the server works out again, from how it is by then.
        const allocated = typed === undefined ? null : allocationsOf(typed);
        const body = { ...draft, engagementId, amount: draft.amount ?? '', side, firstId, allocations: allocated } as const;
        const taken = await ask(api.POST('/api/parties/{id}/payments', { params: { path: { id: partyId } }, body }));
        forgetLedger();
        say('Payment recorded.');
        await navigate(`/payments/${taken.row.id}`);
    });

    return (
        <Form
            aria-label="Payment"
            onLeave={leave}
            $stretch
            onSubmit={(event) => {
                event.preventDefault();
                void save();
            }}
        >
            <FieldRow>
                <Field
                    label="Amount"
                    autoFocus
                    inputRef={amountField}
                    onFocus={() => isProposed && amountField.current?.select()}
                    width="day"
                    value={amount}
                    onChange={(amount) => set({ amount })}
                    problem={problems.amount}
                />
                <ChooseOne
                    label="Currency"
                    width="figure"
                    options={asOptions(books?.currencies ?? [draft.currency])}
                    value={draft.currency}
                    onChange={(currency) => set({ currency })}
                />
                <Field
                    label="Day"
                    width="code"
                    placeholder="today"
                    value={draft.day}
                    onChange={(day) => set({ day })}
                    problem={problems.day}
                />
                <ChooseOne
                    label="How"
                    width="day"
                    options={ways}
                    value={draft.payBy}
                    onChange={(payBy) => set({ payBy })}
                    problem={problems.payBy}
                />
                {side === 'vendor' && draft.payBy === 'transfer' && defaults.payTo.length > 0 && (
                    <ChooseOne
                        label="To account"
                        width="name"
                        options={[
                            { id: 'usual', name: 'the usual one' },
                            ...defaults.payTo.map(({ id, text }) => ({ id: String(id), name: text })),
                        ]}
                        value={draft.bankDetailId === null ? 'usual' : String(draft.bankDetailId)}
                        onChange={(id) => set({ bankDetailId: id === 'usual' ? null : Number(id) })}
                    />
                )}
                <Field
                    label="Reference"
                    width="name"
                    value={draft.reference}
                    onChange={(reference) => set({ reference })}
                    problem={problems.reference}
                />
            </FieldRow>
            <ForEngagement
                partyId={partyId}
                value={engagementId}
                onChange={(id) => set({ engagementId: id })}
                problem={problems.engagementId}
            />
            {side === 'vendor' && closed !== undefined && <Mark tone="stop">{closed.why}</Mark>}
            <Row>
                <Heading>Used on</Heading>
                {typed === undefined ? (
                    <Small>the oldest first; change any amount by hand</Small>
                ) : (
                    <Button onPress={() => setTyped(undefined)}>Oldest first again</Button>
                )}
            </Row>
            {open !== undefined && (
                <AllocationRows open={open} allocations={allocations} onChange={setTyped} problems={problems} withDiscount />
            )}
            <LeftOver preview={draft.amount === undefined ? undefined : preview} />
            {problems.allocations !== undefined && <Mark tone="stop">{problems.allocations}</Mark>}
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <Row $gap="small">
                <MainButton type="submit">Record the payment</MainButton>
                <Button onPress={leave}>Cancel</Button>
            </Row>
        </Form>
    );
}
