import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useLocation, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { documentQuery, forgetLedger, isMissing } from '../../api/queries';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { documentName, DueText } from '../../app/DocumentTable';
import { Unread } from '../../app/Unread';
import { useTitle } from '../../app/useTitle';
import { Button, ButtonLink, MainButton, QuietButton } from '../../ui/Button';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { momentText } from '../../ui/moment';
import { Form, Margin, Sheet, Spread } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { Empty, Facts, FieldRow, Heading, Mark, Notice, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { bodyOf, DocumentFields, lineKey, TotalsOf, TREATMENTS, type Draft } from './DocumentForm';
import { tryToIssue, type Against } from './issue';
import { Allocate } from './Allocate';
import { KIND_NAMES } from './WriteDocument';

type Doc = Schemas['Document'];

const Copy = styled.address`
    display: grid;
    font-style: normal;
`;

/** One document: what it says, what was made of it, what settled it. */
export function DocumentPage() {
    const id = Number(useParams().id);
    const { data: document, error, refetch } = useQuery(documentQuery(id));
    useTitle(document === undefined ? 'Document' : documentName(document.row));
    if (error !== null) {
        return (
            <Sheet id="sheet" tabIndex={-1}>
                {isMissing(error) ? <Empty role="alert"><Title>No such document</Title><ButtonLink href="/ledger">Open the ledger</ButtonLink></Empty> : <Unread what="The document" error={error} retry={() => void refetch()} />}
            </Sheet>
        );
    }
    return document === undefined
        ? <Sheet id="sheet" tabIndex={-1} aria-busy />
        : <One key={`${id}-${document.version}-${document.row.state}`} document={document} />;
}

function One({ document }: { document: Doc }) {
    const { row } = document;
    const { mayChangeRecords } = useSession();
    const [isEditing, setEditing] = useState(false);
    return (
        <Spread>
            <Sheet id="sheet" tabIndex={-1}>
                <Stack $gap="large" style={{ justifyItems: 'stretch' }}>
                    <Stack $gap="tight">
                        <Row>
                            <Title>{documentName(row)}</Title>
                            {row.state === 'draft' ? <Mark tone="look">draft</Mark> : row.state === 'settled' ? <Mark tone="fine">settled</Mark> : <Quiet>{row.stateWords}</Quiet>}
                        </Row>
                        <span>{row.side === 'client' ? 'for' : 'from'} <Link to={`/records/${row.party.id}#documents`}>{row.party.name}</Link></span>
                    </Stack>
                    {document.copyNow !== null && <OldDetails document={document} />}
                    {isEditing
                        ? <Edit document={document} onClose={() => setEditing(false)} />
                        : (
                            <>
                                {mayChangeRecords && <Actions document={document} onEdit={() => setEditing(true)} />}
                                <Body document={document} />
                            </>
                        )}
                </Stack>
            </Sheet>
            <Side document={document} />
        </Spread>
    );
}

function Body({ document }: { document: Doc }) {
    const { row, lines, totals, copy } = document;
    const hasDiscount = lines.some(({ discount }) => discount !== '0');
    return (
        <Stack style={{ justifyItems: 'stretch' }}>
            <Row $gap="large" style={{ justifyContent: 'space-between' }}>
                <Copy>
                    {(copy.address.length > 0 ? copy.address : [copy.name]).map((line, at) => <span key={at}>{line}</span>)}
                    {copy.taxNumber !== '' && <Small>VAT {copy.taxNumber}</Small>}
                    {copy.payee !== '' && copy.payee !== copy.name && <Small>paid to {copy.payee}</Small>}
                </Copy>
                <Facts style={{ width: 'auto', maxWidth: 420 }}>
                    <div><dt>Date</dt><dd>{row.dateText}</dd></div>
                    {row.dueText !== '' && <div><dt>Due</dt><dd><DueText row={row} /></dd></div>}
                    {document.terms !== '' && <div><dt>Terms</dt><dd>{document.terms}</dd></div>}
                    {row.reference !== '' && <div><dt>Reference</dt><dd>{row.reference}</dd></div>}
                    <div><dt>Tax</dt><dd>{TREATMENTS.find(({ id }) => id === document.treatment)?.name}</dd></div>
                </Facts>
            </Row>
            <TableScroll>
                <Table>
                    <thead><tr><th>For</th><th>Account</th><th className="figure">Quantity</th><th className="figure">Price</th>{hasDiscount && <th className="figure">Less</th>}<th className="figure">Tax</th><th className="figure">{document.currency}</th></tr></thead>
                    <tbody>
                        {lines.map((line, at) => (
                            <tr key={at}>
                                <td>{line.text}</td><td><Small>{line.account}</Small></td><td className="figure">{line.quantity}</td><td className="figure">{line.price}</td>
                                {hasDiscount && <td className="figure">{line.discount === '0' ? '' : `${line.discount} %`}</td>}
                                <td className="figure">{document.treatment === 'none' ? '' : `${line.tax} %`}</td><td className="figure">{line.amount.text}</td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
            </TableScroll>
            <TotalsOf totals={totals} currency={document.currency} />
            {document.dueSentence !== '' && row.state !== 'void' && <p><Small>{document.dueSentence}</Small></p>}
            {document.note !== '' && <p style={{ whiteSpace: 'pre-line' }}>{document.note}</p>}
            <Settled document={document} />
        </Stack>
    );
}

function Settled({ document }: { document: Doc }) {
    const { mayChangeRecords } = useSession();
    const say = useSay();
    const takeBack = async (id: number) => {
        try {
            await ask(api.DELETE('/api/settlements/{settlement}', { params: { path: { settlement: id } } }));
            forgetLedger();
            say('Taken back.');
        } catch (error) {
            say(`Not taken back. ${(error as Error).message}`);
        }
    };
    if (document.settlements.length === 0) {
        return null;
    }
    const isCredit = document.row.kind.startsWith('credit');
    return (
        <Stack as="section" $gap="small" style={{ justifyItems: 'stretch' }}>
            <Heading>{isCredit ? 'Used on' : 'Settled by'}</Heading>
            <TableScroll>
                <Table>
                    <tbody>
                        {document.settlements.map((one) => (
                            <tr key={one.id}>
                                <td className="tight">{one.dayText}</td>
                                <td>
                                    {isCredit ? <Link to={`/documents/${one.document.id}`}>{one.document.title}</Link> : one.kind === 'write-off' ? 'written off' : one.kind}{' '}
                                    {!isCredit && one.credit !== null && <Link to={`/documents/${one.credit.id}`}>{one.credit.title}</Link>}
                                    {one.paymentId !== null && <Link to={`/payments/${one.paymentId}`}>open the payment</Link>}
                                    {one.reason !== '' && <Small> {one.reason}</Small>}
                                </td>
                                <td><Small>{one.by}</Small></td>
                                <td className="figure">{one.amount.text}</td>
                                <td className="figure">{mayChangeRecords && <QuietButton aria-label={`Take back ${one.kind} of ${one.amount.text}`} onPress={() => void takeBack(one.id)}>Take back</QuietButton>}</td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
            </TableScroll>
        </Stack>
    );
}

function OldDetails({ document }: { document: Doc }) {
    const say = useSay();
    const { mayChangeRecords } = useSession();
    const take = async () => {
        try {
            await ask(api.POST('/api/parties/{id}/follow', { params: { path: { id: document.row.party.id } }, body: { documentIds: [document.row.id], withTerms: false } }));
            forgetLedger();
            say('It carries the new details.');
        } catch (error) {
            say(`Not changed. ${(error as Error).message}`);
        }
    };
    return (
        <Notice tone="look" title="It carries details that have changed on the record since">
            <span>Now: {document.copyNow?.address.join(', ') || document.copyNow?.name}</span>
            {mayChangeRecords && <Button onPress={() => void take()}>Take the new details</Button>}
        </Notice>
    );
}

const TURN: Record<string, string> = { order: 'Make the order', invoice: 'Make the invoice', bill: 'Enter the bill', 'credit-note': 'Write a credit note', 'credit-received': 'Enter a credit note' };

function Actions({ document, onEdit }: { document: Doc; onEdit: () => void }) {
    const { row } = document;
    const path = { params: { path: { document: row.id } } };
    const navigate = useNavigate();
    const given = useLocation().state as Against | null;
    const [against, setAgainst] = useState<Against | null>(given);
    const [asks, setAsks] = useState<'void' | 'write-off' | 'send' | 'use'>();
    const say = useSay();
    const isOwed = row.dueText !== '' && row.state !== 'draft';
    const isOpen = row.state === 'issued' || row.state === 'part-paid';

    const issue = async (isConfirmed: boolean) => {
        try {
            const found = await tryToIssue(row.id, isConfirmed);
            setAgainst(found ?? null);
            if (found === undefined) {
                say('Issued.');
                await navigate('.', { replace: true, state: null });
                forgetLedger();
            }
        } catch (error) {
            say(`Not issued. ${(error as Error).message}`);
        }
    };
    const turn = async (kind: string) => {
        try {
            const made = await ask(api.POST('/api/documents/{document}/next', { ...path, body: { kind } }));
            forgetLedger();
            await navigate(`/documents/${made.row.id}`);
        } catch (error) {
            say(`Not made. ${(error as Error).message}`);
        }
    };

    return (
        <>
            {against !== null && row.state === 'draft' && !against.asks && <Notice tone="stop" title="Not issued">{against.message}</Notice>}
            <Row $gap="small">
                {row.state === 'draft' && <MainButton onPress={() => void issue(false)}>Issue it</MainButton>}
                {row.state === 'draft' && <Button onPress={onEdit}>Change it</Button>}
                {isOwed && isOpen && <ButtonLink href={`/records/${row.party.id}/payment/${row.side}?currency=${document.currency}&document=${row.id}`}>{row.side === 'client' ? 'Money has come' : 'Pay it'}</ButtonLink>}
                {isOpen && row.kind.startsWith('credit') && <Button onPress={() => setAsks('use')}>Use it on documents</Button>}
                {document.canBecome.map((kind) => <Button key={kind} onPress={() => void turn(kind)}>{TURN[kind] ?? KIND_NAMES[kind]}</Button>)}
                {row.state !== 'draft' && row.state !== 'void' && <Button onPress={() => setAsks('send')}>Send it</Button>}
                <ButtonLink href={`/api/documents/${row.id}/pdf`} target="_blank" rel="external">PDF</ButtonLink>
                {(row.kind === 'invoice' || row.kind === 'credit-note') && row.state !== 'draft' && <ButtonLink href={`/api/documents/${row.id}/ubl`} target="_blank" rel="external">E-invoice</ButtonLink>}
                {isOwed && isOpen && <Button onPress={() => setAsks('write-off')}>Write off</Button>}
                {row.state !== 'void' && <Button onPress={() => setAsks('void')}>Make it void</Button>}
            </Row>
            {against !== null && against.asks && row.state === 'draft' && (
                <Dialog title="Over the credit limit" role="alertdialog" onClose={() => setAgainst(null)}>
                    <p>{against.message}</p>
                    <DialogButtons>
                        <MainButton autoFocus onPress={() => setAgainst(null)}>Leave it as a draft</MainButton>
                        <Button onPress={() => void issue(true)}>Issue it all the same</Button>
                    </DialogButtons>
                </Dialog>
            )}
            {asks === 'void' && <Ask title="Make it void" hint="It keeps its number and stays in the ledger, and counts for nothing." action="Make it void" onClose={() => setAsks(undefined)} run={(reason) => ask(api.DELETE('/api/documents/{document}', { ...path, body: { reason, amount: '' } }))} />}
            {asks === 'write-off' && <Ask title="Write off" withAmount={row.open.amount} action="Write it off" onClose={() => setAsks(undefined)} run={(reason, amount) => ask(api.POST('/api/documents/{document}/write-off', { ...path, body: { reason, amount } }))} />}
            {asks === 'send' && <Send document={document} onClose={() => setAsks(undefined)} />}
            {asks === 'use' && (
                <Dialog title="Use the credit on documents" isWide onClose={() => setAsks(undefined)}>
                    <Allocate partyId={row.party.id} side={row.side} currency={document.currency} available={row.open.amount} action="Use it" onClose={() => setAsks(undefined)} run={(uses) => ask(api.POST('/api/documents/{document}/uses', { ...path, body: { uses } }))} />
                </Dialog>
            )}
        </>
    );
}

interface AskProps {
    title: string;
    hint?: string;
    action: string;
    withAmount?: string;
    onClose: () => void;
    run: (reason: string, amount: string) => Promise<unknown>;
}

/** Asks why, and perhaps how much, before something is done. */
export function Ask({ title, hint, action, withAmount, onClose, run }: AskProps) {
    const [reason, setReason] = useState('');
    const [amount, setAmount] = useState(withAmount ?? '');
    const { run: saving, problems, message } = useSaving();
    const say = useSay();
    return (
        <Dialog title={title} onClose={onClose}>
            <Form
                onSubmit={(event) => {
                    event.preventDefault();
                    void saving(async () => {
                        await run(reason, amount);
                        forgetLedger();
                        say('Done.');
                        onClose();
                    });
                }}
            >
                {hint !== undefined && <p>{hint}</p>}
                {withAmount !== undefined && <Field label="Amount" width="160px" value={amount} onChange={setAmount} problem={problems.amount} />}
                <Field label="Why" autoFocus value={reason} onChange={setReason} problem={problems.reason ?? message} />
                <DialogButtons><MainButton type="submit">{action}</MainButton><Button onPress={onClose}>Cancel</Button></DialogButtons>
            </Form>
        </Dialog>
    );
}

function Send({ document, onClose }: { document: Doc; onClose: () => void }) {
    const [to, setTo] = useState('');
    const [text, setText] = useState('');
    const { run, problems, message } = useSaving();
    const say = useSay();
    return (
        <Dialog title={`Send ${documentName(document.row)}`} onClose={onClose}>
            <Form
                onSubmit={(event) => {
                    event.preventDefault();
                    void run(async () => {
                        await ask(api.POST('/api/documents/{document}/send', { params: { path: { document: document.row.id } }, body: { to, text } }));
                        forgetLedger();
                        say('Put into the outbox, and into the log.');
                        onClose();
                    });
                }}
            >
                <Field label="To" autoFocus placeholder="as on the record" value={to} onChange={setTo} problem={problems.to ?? message} />
                <Field label="Message" lines={5} placeholder="Please find attached …" value={text} onChange={setText} problem={problems.text} />
                <DialogButtons><MainButton type="submit">Send it</MainButton><Button onPress={onClose}>Cancel</Button></DialogButtons>
            </Form>
        </Dialog>
    );
}

function Edit({ document, onClose }: { document: Doc; onClose: () => void }) {
    const { row } = document;
    const [draft, setDraft] = useState<Draft>(() => ({
        kind: row.kind, date: document.date, due: document.due, terms: document.terms, treatment: document.treatment, currency: document.currency, number: row.number, reference: row.reference, note: document.note,
        lines: document.lines.map(({ text, quantity, price, discount, taxRateId, accountId, costCentreIds }) => ({ key: lineKey(), text, quantity, price, discount: discount === '0' ? '' : discount, taxRateId, accountId, costCentreIds })),
    }));
    const { run, problems, message } = useSaving();
    const say = useSay();
    const last = draft.lines.at(-1);
    return (
        <Form
            aria-label="Change the draft"
            style={{ justifyItems: 'stretch' }}
            onSubmit={(event) => {
                event.preventDefault();
                void run(async () => {
                    await ask(api.PUT('/api/documents/{document}', { params: { path: { document: row.id } }, body: { ...bodyOf(draft), version: document.version } }));
                    forgetLedger();
                    say('Draft saved.');
                    onClose();
                });
            }}
        >
            <DocumentFields
                draft={draft}
                onChange={setDraft}
                problems={problems}
                partyId={row.party.id}
                isTheirs={row.kind === 'bill' || row.kind === 'credit-received'}
                blank={() => ({ key: lineKey(), text: '', quantity: '', price: '', discount: '', taxRateId: last?.taxRateId ?? null, accountId: last?.accountId ?? null, costCentreIds: last?.costCentreIds ?? [] })}
            />
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <FieldRow><MainButton type="submit">Save the draft</MainButton><Button onPress={onClose}>Cancel</Button></FieldRow>
        </Form>
    );
}

function Side({ document }: { document: Doc }): ReactNode {
    const { row, source, madeFromIt, discount, events } = document;
    return (
        <Margin aria-label="What follows from the document">
            {row.state !== 'draft' && (
                <section>
                    <h2>Open</h2>
                    <p><strong>{document.currency} {row.open.text}</strong> of {row.total.text}</p>
                    {document.lateInterest !== null && <p>Interest to date {document.lateInterest.text}</p>}
                    {discount !== null && Number(row.open.amount) > 0 && <p>{discount.sentence}</p>}
                </section>
            )}
            {(source !== null || madeFromIt.length > 0) && (
                <section>
                    <h2>Chain</h2>
                    {source !== null && <p>from <Link to={`/documents/${source.id}`}>{source.title}</Link></p>}
                    {madeFromIt.map((made) => <p key={made.id}>became <Link to={`/documents/${made.id}`}>{made.title}</Link> <Quiet>{made.stateWords}</Quiet></p>)}
                </section>
            )}
            {document.sentText !== '' && <section><h2>Sent</h2><p>{document.sentText}</p></section>}
            <section>
                <h2>History</h2>
                {events.map((event, at) => <p key={at}>{event.text} <Quiet>{momentText(event.at)}, {event.by}</Quiet></p>)}
            </section>
        </Margin>
    );
}
