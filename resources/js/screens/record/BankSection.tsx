import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { AskWhy } from '../../shared/AskWhy';
import { useTitles, type CodeOf } from '../../shared/titles';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { FieldGroup, FieldRow, Mark, Notice, Quiet, Row, Small, Stack } from '../../ui/Text';
import { PlainSection } from './SectionFrame';
import type { RecordData } from './sections';
import { useMayEdit } from './useMayEdit';
import { useRecordAction } from './useRecordAction';

type Detail = Schemas['BankDetail'];


/** Does something to the record and says so at the foot of the page. */
function useSaid() {
    const act = useRecordAction();
    const say = useSay();
    const save = async (call: () => Promise<RecordData>, said: string) => {
        await act(call);
        say(said);
    };
    return {
        save,
        tryTo: (call: () => Promise<RecordData>, said: string) =>
            save(call, said).catch((error: Error) => say(`Not done. ${error.message}`)),
    };
}

/** Bank details: in force, on hold, and what was before; and cards, by what may be shown of them. */
export function BankSection({ record }: { record: RecordData }) {
    const { current, history, cards } = record.bank;
    const mayEdit = useMayEdit(record);
    const [adds, setAdds] = useState<'account' | 'card'>();
    const act = useSaid();
    const add = (
        <Row $gap="small">
            <Button data-edit onPress={() => setAdds('account')}>Add bank details</Button>
            <Button onPress={() => setAdds('card')}>Add a card</Button>
        </Row>
    );
    return (
        <PlainSection
            id="bank"
            title="Bank and cards"
            folded={current.length + cards.length + history.length === 0 && adds === undefined ? 'No bank details yet.' : undefined}
            tools={current.length + cards.length + history.length === 0 && mayEdit && adds === undefined && add}
        >
            <Stack $gap="small" $stretch>
                {current.length === 0 && cards.length === 0 && (
                    <Quiet>No bank details yet. New ones are on hold until a second person has confirmed them.</Quiet>
                )}
                {current.map((detail) => (
                    <OneDetail key={detail.id} record={record} detail={detail} mayEdit={mayEdit} />
                ))}
                {cards.map((card) => (
                    <Row key={card.id} $gap="small">
                        <span>
                            {card.brand} •••• {card.lastFour}
                        </span>
                        <Small>
                            until {card.expires}
                            {card.holder !== '' && `, ${card.holder}`}
                            {card.postcode !== '' && `, ${card.postcode}`}
                        </Small>
                        {card.isExpired && <Mark tone="look">expired</Mark>}
                        {mayEdit && (
                            <QuietButton
                                aria-label={`Remove the card ending in ${card.lastFour}`}
                                onPress={() =>
                                    void act.tryTo(
                                        () =>
                                            ask(
                                                api.DELETE('/api/parties/{id}/cards/{card}', {
                                                    params: { path: { id: record.party.id, card: card.id } },
                                                }),
                                            ),
                                        'Card removed.',
                                    )
                                }
                            >
                                Forget
                            </QuietButton>
                        )}
                    </Row>
                ))}
                {history.length > 0 && (
                    <details>
                        <summary>
                            <Small>What was before ({history.length})</Small>
                        </summary>
                        {history.map((detail) => (
                            <p key={detail.id}>
                                <Small>
                                    {detail.kindTitle} {detail.masked}, entered by {detail.enteredBy} on {detail.enteredText};{' '}
                                    {detail.decidedText || detail.stateTitle}
                                </Small>
                            </p>
                        ))}
                    </details>
                )}
                {mayEdit && adds === undefined && current.length + cards.length + history.length > 0 && add}
                {adds === 'account' && <AddAccount record={record} onClose={() => setAdds(undefined)} />}
                {adds === 'card' && <AddCard record={record} onClose={() => setAdds(undefined)} />}
            </Stack>
        </PlainSection>
    );
}

function OneDetail({ record, detail, mayEdit }: { record: RecordData; detail: Detail; mayEdit: boolean }) {
    const { maySeePrivate } = useSession();
    const act = useSaid();
    const say = useSay();
    const [shown, setShown] = useState<string>();
    const [asks, setAsks] = useState<'confirm' | 'refuse'>();
    const path = { params: { path: { id: record.party.id, bankDetail: detail.id } } };
    const isHeld = detail.state === 'on-hold';
    const isEnding = detail.state === 'ending';
    const deed = isHeld ? 'Refuse' : isEnding ? 'Keep' : 'End';
    const reveal = async () => {
        try {
            setShown((await ask(api.POST('/api/parties/{id}/bank-details/{bankDetail}/reveal', path))).value);
        } catch (error) {
            say(`Not shown. ${(error as Error).message}`);
        }
    };
    return (
        <Stack $gap="tight">
            <Row $gap="small">
                <span>
                    {detail.kindTitle} <strong>{shown ?? detail.masked}</strong>
                </span>
                {detail.holder !== '' && detail.kind !== 'payee' && (
                    <Small>
                        in the name of {detail.holder}
                        {detail.bankName !== '' && `, ${detail.bankName}`}
                    </Small>
                )}
                {isHeld || isEnding ? <Mark tone="stop">{detail.stateTitle}</Mark> : <Mark tone="fine">confirmed</Mark>}
                {maySeePrivate && detail.kind !== 'payee' && shown === undefined && (
                    <QuietButton aria-label={`Show the ${detail.kindTitle} ${detail.masked}`} onPress={() => void reveal()}>
                        Show
                    </QuietButton>
                )}
                {detail.mayBeConfirmed && <Button onPress={() => setAsks('confirm')}>{isEnding ? 'Agree to the end' : 'Confirm'}</Button>}
                {mayEdit && detail.mayBeRefused && (
                    <QuietButton aria-label={`${deed} ${detail.kindTitle} ${detail.masked}`} onPress={() => setAsks('refuse')}>
                        {deed}
                    </QuietButton>
                )}
            </Row>
            {isEnding && <Small>{detail.endText}; nothing is paid to it until a second person has agreed, or it is kept</Small>}
            <Small>
                {isHeld
                    ? `entered by ${detail.enteredBy} on ${detail.enteredText}; nothing is paid by transfer until a second person has confirmed it`
                    : detail.decidedText}
            </Small>
            {asks === 'confirm' && <Confirm record={record} detail={detail} onClose={() => setAsks(undefined)} />}
            {asks === 'refuse' && (
                <AskWhy
                    title={`${deed} these details`}
                    hint={isHeld || isEnding ? undefined : 'A second person has to agree. Nothing is paid to them meanwhile.'}
                    action={`${deed} these details`}
                    onClose={() => setAsks(undefined)}
                    run={(reason) =>
                        act.save(
                            () => ask(api.DELETE('/api/parties/{id}/bank-details/{bankDetail}', { ...path, body: { reason, amount: '' } })),
                            isHeld ? 'Refused.' : isEnding ? 'Left in force.' : 'A second person has to agree to the end.',
                        )
                    }
                />
            )}
        </Stack>
    );
}

function Confirm({ record, detail, onClose }: { record: RecordData; detail: Detail; onClose: () => void }) {
    const confirmations = useTitles('confirmations');
    const [how, setHow] = useState<CodeOf<'confirmations'> | ''>('');
    const act = useSaid();
    const { run, problems, message } = useSaving();
    return (
        <Dialog title={detail.state === 'ending' ? 'Agree to the end of bank details' : 'Confirm new bank details'} onClose={onClose}>
            <Form
                onSubmit={(event) => {
                    event.preventDefault();
                    void run(async () => {
                        await act.save(
                            () =>
                                ask(
                                    api.POST('/api/parties/{id}/bank-details/{bankDetail}/confirm', {
                                        params: { path: { id: record.party.id, bankDetail: detail.id } },
                                        // Left empty, the server says what is missing.
                                        body: { how: how as CodeOf<'confirmations'> },
                                    }),
                                ),
                            'Confirmed.',
                        );
                        onClose();
                    });
                }}
            >
                <p>
                    Call a number that was known before these details came, not one from the letter or email that brought them. Then say how
                    you made sure that {detail.masked} is right.
                </p>
                <ChooseOne
                    label="How"
                    options={confirmations}
                    value={how}
                    onChange={setHow}
                    problem={problems.how ?? message}
                />
                <DialogButtons>
                    <MainButton type="submit">{detail.state === 'ending' ? 'Agree to the end' : 'Confirm them'}</MainButton>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}


function AddAccount({ record, onClose }: { record: RecordData; onClose: () => void }) {
    const kinds = useTitles('bankAccountKinds');
    const uses = useTitles('bankAccountUses');
    const country = record.addresses.addresses[0]?.country ?? 'US';
    const [draft, setDraft] = useState<Schemas['BankDetailInput']>({
        kind: country === 'US' ? 'us' : country === 'GB' ? 'uk' : 'iban',
        iban: '',
        bic: '',
        routing: '',
        sortCode: '',
        account: '',
        use: 'checking',
        holder: '',
        bankName: '',
    });
    const { run, problems, message } = useSaving();
    const act = useSaid();
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
    return (
        <FieldGroup aria-label="New bank details">
            <Form
                onLeave={onClose}
                onSubmit={(event) => {
                    event.preventDefault();
                    void run(async () => {
                        await act.save(
                            () =>
                                ask(api.POST('/api/parties/{id}/bank-details', { params: { path: { id: record.party.id } }, body: draft })),
                            'Entered; on hold until a second person confirms it.',
                        );
                        onClose();
                    });
                }}
            >
                <FieldRow>
                    <ChooseOne
                        label="Kind"
                        width="150px"
                        options={kinds}
                        value={draft.kind}
                        onChange={(kind) => set({ kind })}
                    />
                    {draft.kind === 'iban' && (
                        <Field
                            label="IBAN"
                            autoFocus
                            width="290px"
                            value={draft.iban}
                            onChange={(iban) => set({ iban })}
                            problem={problems.iban}
                        />
                    )}
                    {draft.kind === 'iban' && <Field label="BIC" width="140px" value={draft.bic} onChange={(bic) => set({ bic })} />}
                    {draft.kind === 'us' && (
                        <Field
                            label="Routing number"
                            autoFocus
                            width="150px"
                            value={draft.routing}
                            onChange={(routing) => set({ routing })}
                        />
                    )}
                    {draft.kind === 'uk' && (
                        <Field
                            label="Sort code"
                            autoFocus
                            width="120px"
                            value={draft.sortCode}
                            onChange={(sortCode) => set({ sortCode })}
                        />
                    )}
                    {draft.kind !== 'iban' && (
                        <Field
                            label="Account number"
                            width="180px"
                            value={draft.account}
                            onChange={(account) => set({ account })}
                            problem={problems.account}
                        />
                    )}
                    {draft.kind === 'us' && (
                        <ChooseOne
                            label="Used as"
                            width="130px"
                            options={uses}
                            value={draft.use}
                            onChange={(use) => set({ use })}
                        />
                    )}
                </FieldRow>
                <FieldRow>
                    <Field
                        label="In the name of"
                        width="240px"
                        value={draft.holder}
                        onChange={(holder) => set({ holder })}
                        problem={problems.holder}
                    />
                    <Field
                        label="Bank"
                        width="220px"
                        value={draft.bankName}
                        onChange={(bankName) => set({ bankName })}
                        problem={problems.bankName}
                    />
                </FieldRow>
                {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
                <Row $gap="small"><MainButton type="submit">Save bank details</MainButton><Button onPress={onClose}>Cancel</Button></Row>
            </Form>
        </FieldGroup>
    );
}

function AddCard({ record, onClose }: { record: RecordData; onClose: () => void }) {
    const [draft, setDraft] = useState({ number: '', expires: '', holder: '', postcode: '' });
    const { run, problems, message } = useSaving();
    const act = useSaid();
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
    return (
        <FieldGroup aria-label="New card">
            <Form
                onLeave={onClose}
                autoComplete="off"
                onSubmit={(event) => {
                    event.preventDefault();
                    void run(async () => {
                        await act.save(
                            () => ask(api.POST('/api/parties/{id}/cards', { params: { path: { id: record.party.id } }, body: draft })),
                            'Card kept by its token; the number is not.',
                        );
                        onClose();
                    });
                }}
            >
                <FieldRow>
                    <Field
                        label="Card number"
                        autoFocus
                        width="220px"
                        value={draft.number}
                        onChange={(number) => set({ number })}
                        problem={problems.number}
                    />
                    <Field
                        label="Until"
                        width="100px"
                        placeholder="04/28"
                        value={draft.expires}
                        onChange={(expires) => set({ expires })}
                        problem={problems.expires}
                    />
                    <Field
                        label="Name on it"
                        width="200px"
                        value={draft.holder}
                        onChange={(holder) => set({ holder })}
                        problem={problems.holder}
                    />
                    <Field
                        label="Billing postcode"
                        width="120px"
                        value={draft.postcode}
                        onChange={(postcode) => set({ postcode })}
                        problem={problems.postcode}
                    />
                </FieldRow>
                <Small>The number is checked, handed to the vault, and not kept here.</Small>
                {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
                <Row $gap="small"><MainButton type="submit">Save this card</MainButton><Button onPress={onClose}>Cancel</Button></Row>
            </Form>
        </FieldGroup>
    );
}
