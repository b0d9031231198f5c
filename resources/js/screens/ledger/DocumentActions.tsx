import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { forgetLedger } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { AskWhy } from '../../shared/AskWhy';
import { documentName } from '../../shared/DocumentTable';
import { titleOf, useTitles } from '../../shared/titles';
import { Button, ButtonLink, MainButton, MainLink } from '../../ui/Button';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Menu } from '../../ui/Menu';
import { useSay } from '../../ui/StatusLine';
import { Notice, Row } from '../../ui/Text';
import { Allocate } from './Allocate';
import { tryToIssue, type Against } from './issue';

type Doc = Schemas['Document'];
type Asks = 'void' | 'write-off' | 'send' | 'use';

const TURN: Partial<Record<Doc['canBecome'][number], string>> = {
    order: 'Make the order',
    invoice: 'Make the invoice',
    bill: 'Enter the bill',
    'credit-note': 'Write a credit note',
    'credit-received': 'Enter a credit note',
};

/** What can be done with a document as it is: the one thing that comes next, and the rest behind More. */
export function DocumentActions({ document, onEdit }: { document: Doc; onEdit: () => void }) {
    const { row, canBecome } = document;
    const path = { params: { path: { document: row.id } } };
    const navigate = useNavigate();
    const given = (useLocation().state as { against?: Against } | null)?.against;
    const [against, setAgainst] = useState(given ?? null);
    const [again, setAgain] = useState<{ kind: Doc['canBecome'][number]; message: string }>();
    const [asks, setAsks] = useState<Asks>();
    const say = useSay();
    const kinds = useTitles('documentKinds');
    const nameOf = (kind: string) => titleOf(kinds, kind).toLowerCase();
    const isDraft = row.state === 'draft';
    const isTheirs = row.kind === 'bill' || row.kind === 'credit-received';
    const isOwed = row.dueText !== '' && !isDraft;
    const isOpen = row.state === 'issued' || row.state === 'part-paid';
    const isCredit = row.kind.startsWith('credit');
    const isPromise = row.kind === 'quote' || row.kind === 'order' || row.kind === 'purchase-order';
    const [next] = isPromise && isOpen ? canBecome : [];

    const issue = async (isConfirmed: boolean) => {
        try {
            const found = await tryToIssue(row.id, document.version, isConfirmed);
            setAgainst(found ?? null);
            if (found === undefined) {
                say(isTheirs ? 'Entered.' : 'Issued.');
                if (given !== undefined) {
                    await navigate('.', { replace: true, state: null });
                }
                forgetLedger();
            }
        } catch (error) {
            say(`${isTheirs ? 'Not entered' : 'Not issued'}. ${(error as Error).message}`);
        }
    };
    const done = async (work: Promise<unknown>) => {
        await work;
        forgetLedger();
        say('Done.');
    };
    const open = async (work: Promise<Doc>) => {
        const made = await work;
        forgetLedger();
        await navigate(`/documents/${made.row.id}`);
    };
    const turn = async (kind: Doc['canBecome'][number], isConfirmed = false) => {
        try {
            await open(ask(api.POST('/api/documents/{document}/next', { ...path, body: { kind, isConfirmed } })));
        } catch (error) {
            const question = (error as { fields?: Record<string, string> }).fields?.isConfirmed;
            if (question === undefined) {
                say(`Not made. ${(error as Error).message}`);
            } else {
                setAgain({ kind, message: question });
            }
        }
    };
    const make = async (work: Promise<Doc>) => {
        try {
            await open(work);
        } catch (error) {
            say(`Not made. ${(error as Error).message}`);
        }
    };
    const shown = (address: string) => () => window.open(address, '_blank', 'noopener');

    const main = isDraft ? (
        <MainButton onPress={() => void issue(false)}>{isTheirs ? 'Enter it' : 'Issue it'}</MainButton>
    ) : isOwed && isOpen ? (
        <MainLink href={`/records/${row.party.id}/payment/${row.side}?currency=${document.currency}&document=${row.id}`}>
            {row.side === 'client' ? 'Record a payment' : 'Pay it'}
        </MainLink>
    ) : isCredit && isOpen ? (
        <MainButton onPress={() => setAsks('use')}>Use it on documents</MainButton>
    ) : (
        next !== undefined && <MainButton onPress={() => void turn(next)}>{TURN[next] ?? nameOf(next)}</MainButton>
    );
    const more = [
        ...canBecome
            .filter((kind) => kind !== next)
            .map((kind) => ({ id: kind, name: TURN[kind] ?? nameOf(kind), onChoose: () => void turn(kind) })),
        ...(document.canBeRevised
            ? [
                  {
                      id: 'revise',
                      name: 'Write a new revision',
                      onChoose: () => void make(ask(api.POST('/api/documents/{document}/revise', path))),
                  },
              ]
            : []),
        ...(row.kind.startsWith('opening')
            ? []
            : [
                  {
                      id: 'copy',
                      name: 'Copy it as a new draft',
                      onChoose: () => void make(ask(api.POST('/api/documents/{document}/copy', path))),
                  },
              ]),
        ...((row.kind === 'invoice' || row.kind === 'credit-note') && !isDraft
            ? [{ id: 'ubl', name: 'E-invoice', onChoose: shown(`/api/documents/${row.id}/ubl`) }]
            : []),
        ...(row.state === 'void'
            ? []
            : [
                  {
                      id: 'meet',
                      name: 'Arrange a meeting about it',
                      onChoose: () => void navigate(`/records/${row.party.id}/meet?document=${row.id}`),
                  },
              ]),
        ...(isOwed && isOpen ? [{ id: 'write-off', name: 'Write it off', onChoose: () => setAsks('write-off') }] : []),
        ...(row.state !== 'void' ? [{ id: 'void', name: isDraft ? 'Discard the draft' : 'Void it', onChoose: () => setAsks('void') }] : []),
    ];

    return (
        <>
            {against !== null && isDraft && !against.asks && (
                <Notice tone="stop" title={isTheirs ? 'Not entered' : 'Not issued'}>
                    {against.message}
                </Notice>
            )}
            <Row $gap="small">
                {main}
                {isDraft && <Button onPress={onEdit}>Change it</Button>}
                {document.canBeSent && <Button onPress={() => setAsks('send')}>Send it</Button>}
                <ButtonLink href={`/api/documents/${row.id}/pdf`} target="_blank" rel="external">PDF</ButtonLink>
                <Menu label="More" items={more} />
            </Row>
            {against !== null && against.asks && isDraft && (
                <Dialog
                    title={isTheirs ? 'Enter it all the same?' : 'Issue it all the same?'}
                    role="alertdialog"
                    onClose={() => setAgainst(null)}
                >
                    <p>{against.message}</p>
                    <DialogButtons>
                        <MainButton autoFocus onPress={() => setAgainst(null)}>Leave it as a draft</MainButton>
                        <Button onPress={() => void issue(true)}>{isTheirs ? 'Enter it all the same' : 'Issue it all the same'}</Button>
                    </DialogButtons>
                </Dialog>
            )}
            {again !== undefined && (
                <Dialog title="Nothing is left of it" role="alertdialog" onClose={() => setAgain(undefined)}>
                    <p>{again.message}</p>
                    <DialogButtons>
                        <MainButton autoFocus onPress={() => setAgain(undefined)}>Leave it</MainButton>
                        <Button onPress={() => void turn(again.kind, true)}>Make one more</Button>
                    </DialogButtons>
                </Dialog>
            )}
            {asks === 'void' && (
                <AskWhy
                    title={isDraft ? 'Discard the draft' : 'Void it'}
                    hint={
                        isDraft ? 'It stays in the ledger as void.' : 'It keeps its number and stays in the ledger, but no longer counts.'
                    }
                    action={isDraft ? 'Discard it' : 'Void it'}
                    onClose={() => setAsks(undefined)}
                    run={(reason) => done(ask(api.DELETE('/api/documents/{document}', { ...path, body: { reason, amount: '' } })))}
                />
            )}
            {asks === 'write-off' && (
                <AskWhy
                    title="Write off"
                    withAmount={row.open.amount}
                    action="Write it off"
                    onClose={() => setAsks(undefined)}
                    run={(reason, amount) =>
                        done(ask(api.POST('/api/documents/{document}/write-off', { ...path, body: { reason, amount } })))
                    }
                />
            )}
            {asks === 'send' && <Send document={document} onClose={() => setAsks(undefined)} />}
            {asks === 'use' && (
                <Dialog title="Use the credit on documents" isWide onClose={() => setAsks(undefined)}>
                    <Allocate
                        partyId={row.party.id}
                        side={row.side}
                        currency={document.currency}
                        available={row.open.amount}
                        action="Use it"
                        onClose={() => setAsks(undefined)}
                        run={(allocations) => ask(api.POST('/api/documents/{document}/allocations', { ...path, body: { allocations } }))}
                    />
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
                onSubmit={() => {
                    void run(async () => {
                        await ask(
                            api.POST('/api/documents/{document}/send', {
                                params: { path: { document: document.row.id } },
                                body: { to, text },
                            }),
                        );
                        forgetLedger();
                        say('In the outbox, and noted in the log.');
                        onClose();
                    });
                }}
            >
                <Field label="To" autoFocus placeholder="as on the record" value={to} onChange={setTo} problem={problems.to ?? message} />
                <Field
                    label="Message"
                    lines={5}
                    placeholder="Please find attached …"
                    value={text}
                    onChange={setText}
                    problem={problems.text}
                />
                <DialogButtons>
                    <MainButton type="submit">Send it</MainButton>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}
