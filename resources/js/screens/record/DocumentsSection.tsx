import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../../api/client';
import { forgetLedger } from '../../api/queries';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { DocumentTable } from '../../shared/DocumentTable';
import { useTitles } from '../../shared/titles';
import { Button, ButtonLink, MainButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Menu } from '../../ui/Menu';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Quiet, Row, Small, Stack } from '../../ui/Text';
import { useNavigate } from 'react-router';
import { PlainSection } from '../../shared/section/SectionFrame';
import type { RecordData } from './sections/spec';
import { useMayEdit } from './useMayEdit';

/** The documents of the record, and what can be written for it. */
export function DocumentsSection({ record }: { record: RecordData }) {
    const { counts, newest } = record.documents;
    const { party, standing } = record;
    const mayEdit = useMayEdit(record);
    const [isOpening, setOpening] = useState(false);
    const navigate = useNavigate();
    const sides = [
        ...new Set([
            ...(party.isClient ? ['client'] : []),
            ...(party.isVendor ? ['vendor'] : []),
            ...standing.sides.map(({ side }) => side),
        ]),
    ];
    const written = useTitles('writtenKinds');

    return (
        <PlainSection id="documents" title="Documents">
            <Stack $gap="small" $stretch>
                {mayEdit && (
                    <Row $gap="small">
                        {(party.isClient || !party.isVendor) && (
                            <ButtonLink href={`/records/${party.id}/write/invoice`}>New invoice</ButtonLink>
                        )}
                        {party.isVendor && <ButtonLink href={`/records/${party.id}/write/bill`}>Enter a bill</ButtonLink>}
                        <Menu
                            label="Another document"
                            items={[
                                ...written.map(({ id, name }) => ({
                                    id,
                                    name,
                                    onChoose: () => void navigate(`/records/${party.id}/write/${id}`),
                                })),
                                { id: 'opening', name: 'Opening balance …', onChoose: () => setOpening(true) },
                            ]}
                        />
                        {sides.includes('client') && <ButtonLink href={`/records/${party.id}/payment/client`}>Record a payment</ButtonLink>}
                        {sides.includes('vendor') && <ButtonLink href={`/records/${party.id}/payment/vendor`}>Pay them</ButtonLink>}
                    </Row>
                )}
                {counts.length === 0 ? (
                    <Quiet>No documents yet. Quotes, orders, invoices and bills stand here, the newest first.</Quiet>
                ) : (
                    <>
                        <Row $gap="small">
                            {counts.map(({ kind, kindTitle, state, stateWords, count }) => (
                                <Small key={kind + state}>
                                    <Link to={`/ledger?partyId=${party.id}&kind=${kind}&state=${state}`}>
                                        {count} {kindTitle.toLowerCase()}
                                        {count === 1 ? '' : 's'} {stateWords}
                                    </Link>
                                </Small>
                            ))}
                        </Row>
                        <DocumentTable rows={newest} />
                        <Row $gap="small">
                            <Link to={`/ledger?partyId=${party.id}`}>All documents</Link>
                            <Link to={`/ledger?what=payments&partyId=${party.id}`}>All payments</Link>
                            {standing.sides.map(({ side, currency }) => (
                                <Link key={side + currency} to={`/records/${party.id}/statement?side=${side}&currency=${currency}`}>
                                    Statement, {side === 'client' ? 'what they owe' : 'what we owe'}
                                    {standing.sides.length > 1 && ` in ${currency}`}
                                </Link>
                            ))}
                            {standing.sides.some(({ side, overdue }) => side === 'client' && overdue.sign > 0) && (
                                <a href={`/api/parties/${party.id}/reminder-letter`} target="_blank" rel="noreferrer">
                                    Reminder letter
                                </a>
                            )}
                        </Row>
                    </>
                )}
            </Stack>
            {isOpening && <Opening record={record} onClose={() => setOpening(false)} />}
        </PlainSection>
    );
}

function Opening({ record, onClose }: { record: RecordData; onClose: () => void }) {
    const { officeCurrency } = useSession();
    const [draft, setDraft] = useState({
        side: record.party.isVendor && !record.party.isClient ? ('vendor' as const) : ('client' as const),
        amount: '',
        currency: officeCurrency,
        asOf: '',
    });
    const { run, problems, message } = useSaving();
    const say = useSay();
    return (
        <Dialog title="Opening balance" onClose={onClose}>
            <Form
                onSubmit={(event) => {
                    event.preventDefault();
                    void run(async () => {
                        await ask(api.POST('/api/parties/{id}/opening', { params: { path: { id: record.party.id } }, body: draft }));
                        forgetLedger();
                        say('Opening balance set.');
                        onClose();
                    });
                }}
            >
                <p>What was owed when the books began. It is set once a side, before the first document, and ages from its day.</p>
                <ChooseOne
                    label="Side"
                    options={[
                        { id: 'client', name: 'they owed us' },
                        { id: 'vendor', name: 'we owed them' },
                    ]}
                    value={draft.side}
                    onChange={(side) => setDraft({ ...draft, side: side as 'client' })}
                />
                <FieldRow>
                    <Field
                        label="Amount"
                        autoFocus
                        width="day"
                        value={draft.amount}
                        onChange={(amount) => setDraft({ ...draft, amount })}
                        problem={problems.amount ?? message}
                    />
                    <Field
                        label="Currency"
                        width="mark"
                        value={draft.currency}
                        onChange={(currency) => setDraft({ ...draft, currency })}
                        problem={problems.currency}
                    />
                    <Field
                        label="As of"
                        width="code"
                        placeholder="1 Jan 2026"
                        value={draft.asOf}
                        onChange={(asOf) => setDraft({ ...draft, asOf })}
                        problem={problems.asOf}
                    />
                </FieldRow>
                <DialogButtons>
                    <MainButton type="submit">Set the balance</MainButton>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}
