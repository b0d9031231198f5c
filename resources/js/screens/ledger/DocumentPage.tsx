import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { documentQuery, forgetLedger, isMissing, keepAnswer } from '../../api/queries';
import { useSession } from '../../api/session';
import { documentName, DueText } from '../../shared/DocumentTable';
import { titleOf, useTitles } from '../../shared/titles';
import { Unread } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { Leaves } from '../../shared/lists/Leaves';
import { Button, ButtonLink } from '../../ui/Button';
import { Sheet, Spread } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { Empty, Facts, Mark, Notice, Paragraphs, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { DocumentActions } from './DocumentActions';
import { TotalsOf } from './DocumentTotals';
import { DocumentMargin } from './DocumentMargin';
import { EditDraft } from './EditDraft';
import { EngagementLine } from './ForEngagement';
import { Settled } from './Settled';

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
                <Leaves of="documents" />
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
                        <EngagementLine
                            partyId={row.party.id}
                            engagement={document.engagement}
                            hint="What it was made from, and what was made from it, goes with it."
                            put={async (engagementId) => {
                                const answer = await ask(api.PUT('/api/documents/{document}/engagement', {
                                    params: { path: { document: row.id } }, body: { engagementId },
                                }));
                                keepAnswer(documentQuery(row.id).queryKey, answer);
                                return answer.engagement;
                            }}
                        />
                    </Stack>
                    {document.copyNow !== null && <OldDetails document={document} />}
                    {isEditing
                        ? <EditDraft document={document} onClose={() => setEditing(false)} />
                        : (
                            <>
                                {mayChangeRecords && <DocumentActions document={document} onEdit={() => setEditing(true)} />}
                                <Body document={document} />
                            </>
                        )}
                </Stack>
            </Sheet>
            <DocumentMargin document={document} />
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
