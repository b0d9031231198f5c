import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { forgetLedger } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { AskWhy } from '../../app/AskWhy';
import { documentName } from '../../app/DocumentTable';
import { Button, ButtonLink, MainButton } from '../../ui/Button';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Notice, Row } from '../../ui/Text';
import { Allocate } from './Allocate';
import { tryToIssue, type Against } from './issue';
import { KIND_NAMES } from './WriteDocument';

type Doc = Schemas['Document'];

const TURN: Record<string, string> = { order: 'Make the order', invoice: 'Make the invoice', bill: 'Enter the bill', 'credit-note': 'Write a credit note', 'credit-received': 'Enter a credit note' };

/** What can be done with a document as it stands. */
export function DocumentActions({ document, onEdit }: { document: Doc; onEdit: () => void }) {
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
    const done = async (work: Promise<unknown>) => {
        await work;
        forgetLedger();
        say('Done.');
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
            {asks === 'void' && <AskWhy title="Make it void" hint="It keeps its number and stays in the ledger, and counts for nothing." action="Make it void" onClose={() => setAsks(undefined)} run={(reason) => done(ask(api.DELETE('/api/documents/{document}', { ...path, body: { reason, amount: '' } })))} />}
            {asks === 'write-off' && <AskWhy title="Write off" withAmount={row.open.amount} action="Write it off" onClose={() => setAsks(undefined)} run={(reason, amount) => done(ask(api.POST('/api/documents/{document}/write-off', { ...path, body: { reason, amount } })))} />}
            {asks === 'send' && <Send document={document} onClose={() => setAsks(undefined)} />}
            {asks === 'use' && (
                <Dialog title="Use the credit on documents" isWide onClose={() => setAsks(undefined)}>
                    <Allocate partyId={row.party.id} side={row.side} currency={document.currency} available={row.open.amount} action="Use it" onClose={() => setAsks(undefined)} run={(uses) => ask(api.POST('/api/documents/{document}/uses', { ...path, body: { uses } }))} />
                </Dialog>
            )}
        </>
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
