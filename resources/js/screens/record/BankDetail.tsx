import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { AskWhy } from '../../shared/AskWhy';
import { useTitles, type CodeOf } from '../../shared/titles';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { Mark, Row, Small, Stack } from '../../ui/Text';
import type { RecordData } from './sections/spec';
import { useSaid } from './useSaid';

type Detail = Schemas['BankDetail'];

export function BankDetail({ record, detail, mayEdit }: { record: RecordData; detail: Detail; mayEdit: boolean }) {
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
