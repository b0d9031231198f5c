import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { documentQuery, forgetLedger, isMissing, keepAnswer } from '../../api/queries';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { documentName, DueText } from '../../shared/DocumentTable';
import { titleOf, useTitles } from '../../shared/titles';
import { Unread } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { Button, ButtonLink, MainButton, QuietButton } from '../../ui/Button';
import { momentText } from '../../ui/moment';
import { Form } from '../../ui/Form';
import { Margin, Sheet, Spread } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { Empty, Facts, FieldRow, Heading, Mark, Notice, Paragraphs, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { DocumentActions } from './DocumentActions';
import { bodyOf, DocumentFields, lineKey, TotalsOf, type Draft } from './DocumentForm';

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
                {isMissing(error) ? (
                    <Empty role="alert">
                        <Title>No such document</Title>
                        <ButtonLink href="/ledger">Open the ledger</ButtonLink>
                    </Empty>
                ) : (
                    <Unread what="The document" error={error} retry={() => void refetch()} />
                )}
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
                <Stack $gap="large" $stretch>
                    <Stack $gap="tight">
                        <Row>
                            <Title>{documentName(row)}</Title>
                            {row.state === 'draft' ? (
                                <Mark tone="look">draft</Mark>
                            ) : row.state === 'settled' ? (
                                <Mark tone="fine">settled</Mark>
                            ) : (
                                <Quiet>{row.stateWords}</Quiet>
                            )}
                        </Row>
                        <span>
                            {row.side === 'client' ? 'for' : 'from'} <Link to={`/records/${row.party.id}#documents`}>{row.party.name}</Link>
                        </span>
                    </Stack>
                    {document.copyNow !== null && <OldDetails document={document} />}
                    {isEditing
                        ? <Edit document={document} onClose={() => setEditing(false)} />
                        : (
                            <>
                                {mayChangeRecords && <DocumentActions document={document} onEdit={() => setEditing(true)} />}
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
    const treatments = useTitles('treatments');
    const { row, lines, totals, copy } = document;
    const hasDiscount = lines.some(({ discount }) => discount !== '0');
    return (
        <Stack $stretch>
            <Row $gap="large" $apart>
                <Copy>
                    {(copy.address.length > 0 ? copy.address : [copy.name]).map((line, at) => <span key={at}>{line}</span>)}
                    {copy.taxNumber !== '' && <Small>VAT {copy.taxNumber}</Small>}
                    {copy.payee !== '' && copy.payee !== copy.name && <Small>paid to {copy.payee}</Small>}
                </Copy>
                <Facts $narrow>
                    <div>
                        <dt>Date</dt>
                        <dd>{row.dateText}</dd>
                    </div>
                    {row.dueText !== '' && (
                        <div>
                            <dt>Due</dt>
                            <dd>
                                <DueText row={row} />
                            </dd>
                        </div>
                    )}
                    {document.validUntilText !== '' && (
                        <div>
                            <dt>Valid until</dt>
                            <dd>
                                {document.validUntilText} {document.hasExpired && <Mark tone="look">expired</Mark>}
                            </dd>
                        </div>
                    )}
                    {document.terms !== '' && (
                        <div>
                            <dt>Terms</dt>
                            <dd>{document.terms}</dd>
                        </div>
                    )}
                    {row.reference !== '' && (
                        <div>
                            <dt>Reference</dt>
                            <dd>{row.reference}</dd>
                        </div>
                    )}
                    <div>
                        <dt>Tax</dt>
                        <dd>{titleOf(treatments, document.treatment)}</dd>
                    </div>
                </Facts>
            </Row>
            <TableScroll>
                <Table>
                    <thead>
                        <tr>
                            <th>For</th>
                            <th>Account</th>
                            <th className="figure">Quantity</th>
                            <th className="figure">Price</th>
                            {hasDiscount && <th className="figure">Discount</th>}
                            <th className="figure">Tax</th>
                            <th className="figure">{document.currency}</th>
                        </tr>
                    </thead>
                    <tbody>
                        {lines.map((line, at) => (
                            <tr key={at}>
                                <td className="words">{line.text}</td>
                                <td>
                                    <Small>{line.account}</Small>
                                </td>
                                <td className="figure">{line.quantity}</td>
                                <td className="figure">{line.priceText}</td>
                                {hasDiscount && <td className="figure">{line.discount === '0' ? '' : `${line.discount}%`}</td>}
                                <td className="figure">{document.treatment === 'none' ? '' : `${line.tax}%`}</td>
                                <td className="figure">{line.amount.text}</td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
            </TableScroll>
            <TotalsOf totals={totals} currency={document.currency} />
            {document.dueSentence !== '' && row.state !== 'void' && <p><Small>{document.dueSentence}</Small></p>}
            {document.note !== '' && <Paragraphs>{document.note}</Paragraphs>}
            <Settled document={document} />
        </Stack>
    );
}

function Settled({ document }: { document: Doc }) {
    const { mayChangeRecords } = useSession();
    const say = useSay();
    const takeBack = async (id: number) => {
        try {
            await ask(api.DELETE('/api/allocations/{allocation}', { params: { path: { allocation: id } } }));
            forgetLedger();
            say('Taken back.');
        } catch (error) {
            say(`Not taken back. ${(error as Error).message}`);
        }
    };
    if (document.allocations.length === 0) {
        return null;
    }
    const isCredit = document.row.kind.startsWith('credit');
    return (
        <Stack as="section" $gap="small" $stretch>
            <Heading>{isCredit ? 'Used on' : 'Settled by'}</Heading>
            <TableScroll>
                <Table>
                    <tbody>
                        {document.allocations.map((one) => (
                            <tr key={one.id}>
                                <td className="tight">{one.dayText}</td>
                                <td>
                                    {isCredit ? (
                                        <Link to={`/documents/${one.document.id}`}>{one.document.title}</Link>
                                    ) : one.kind === 'write-off' ? (
                                        'written off'
                                    ) : (
                                        one.kind
                                    )}{' '}
                                    {!isCredit && one.credit !== null && <Link to={`/documents/${one.credit.id}`}>{one.credit.title}</Link>}
                                    {one.paymentId !== null && <Link to={`/payments/${one.paymentId}`}>open the payment</Link>}
                                    {one.reason !== '' && <Small> {one.reason}</Small>}
                                </td>
                                <td><Small>{one.by}</Small></td>
                                <td className="figure">{one.amount.text}</td>
                                <td className="figure">
                                    {mayChangeRecords && (
                                        <QuietButton
                                            aria-label={`Take back ${one.kind} of ${one.amount.text}`}
                                            onPress={() => void takeBack(one.id)}
                                        >
                                            Take back
                                        </QuietButton>
                                    )}
                                </td>
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
            await ask(
                api.POST('/api/parties/{id}/follow', {
                    params: { path: { id: document.row.party.id } },
                    body: { documentIds: [document.row.id], withTerms: false },
                }),
            );
            forgetLedger();
            say('It has the new details.');
        } catch (error) {
            say(`Not changed. ${(error as Error).message}`);
        }
    };
    return (
        <Notice tone="look" title="Its details have changed on the record since">
            <span>Now: {document.copyNow?.address.join(', ') || document.copyNow?.name}</span>
            {mayChangeRecords && <Button onPress={() => void take()}>Use the new details</Button>}
        </Notice>
    );
}

function Edit({ document, onClose }: { document: Doc; onClose: () => void }) {
    const { row } = document;
    const [draft, setDraft] = useState<Draft>(() => ({
        // A draft is never an opening balance.
        kind: row.kind as Draft['kind'],
        date: document.date,
        due: document.due,
        terms: document.terms,
        treatment: document.treatment,
        currency: document.currency,
        number: row.number,
        reference: row.reference,
        note: document.note,
        validUntil: document.validUntil,
        lines: document.lines.map(({ text, quantity, price, discount, taxRateId, accountId, costCentreIds, sourceLineId }) => ({
            key: lineKey(),
            text,
            quantity,
            price,
            discount: discount === '0' ? '' : discount,
            taxRateId,
            accountId,
            costCentreIds,
            sourceLineId,
        })),
    }));
    const { run, problems, message } = useSaving();
    const say = useSay();
    const last = draft.lines.at(-1);
    return (
        <Form
            aria-label="Change the draft"
            takesFocus
            onLeave={onClose}
            $stretch
            onSubmit={(event) => {
                event.preventDefault();
                void run(async () => {
                    // At once as it is now: who issues it next has seen this version.
                    keepAnswer(
                        documentQuery(row.id).queryKey,
                        await ask(
                            api.PUT('/api/documents/{document}', {
                                params: { path: { document: row.id } },
                                body: { ...bodyOf(draft), version: document.version },
                            }),
                        ),
                    );
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
                blank={() => ({
                    key: lineKey(),
                    text: '',
                    quantity: '',
                    price: '',
                    discount: '',
                    taxRateId: last?.taxRateId ?? null,
                    accountId: last?.accountId ?? null,
                    costCentreIds: last?.costCentreIds ?? [],
                })}
            />
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <FieldRow><MainButton type="submit">Save the draft</MainButton><Button onPress={onClose}>Cancel</Button></FieldRow>
        </Form>
    );
}

function Side({ document }: { document: Doc }): ReactNode {
    const { row, source, madeFromIt, discount, events } = document;
    return (
        <Margin aria-label="Worked out from the document">
            {row.state !== 'draft' && (
                <section>
                    <h2>Open</h2>
                    <p><strong>{document.currency} {row.open.text}</strong> of {row.total.text}</p>
                    {document.lateInterest !== null && <p>Interest to date {document.lateInterest.text}</p>}
                    {discount !== null && row.open.sign > 0 && <p>{discount.sentence}</p>}
                </section>
            )}
            {(document.replaces !== null || document.replacedBy !== null) && (
                <section>
                    <h2>Revisions</h2>
                    {document.replaces !== null && (
                        <p>
                            before it <Link to={`/documents/${document.replaces.id}`}>{document.replaces.title}</Link>
                        </p>
                    )}
                    {document.replacedBy !== null && (
                        <p>
                            after it <Link to={`/documents/${document.replacedBy.id}`}>{document.replacedBy.title}</Link>{' '}
                            <Quiet>{document.replacedBy.stateWords}</Quiet>
                        </p>
                    )}
                </section>
            )}
            {(source !== null || madeFromIt.length > 0) && (
                <section>
                    <h2>Chain</h2>
                    {source !== null && (
                        <p>
                            from <Link to={`/documents/${source.id}`}>{source.title}</Link>
                        </p>
                    )}
                    {madeFromIt.map((made) => (
                        <p key={made.id}>
                            became <Link to={`/documents/${made.id}`}>{made.title}</Link> <Quiet>{made.stateWords}</Quiet>
                        </p>
                    ))}
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
