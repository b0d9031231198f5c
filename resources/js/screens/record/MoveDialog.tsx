import { useState, type FormEvent } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { Notice, Small } from '../../ui/Text';
import { sharers } from './addresses';
import { PlaceFields, type Place } from '../../shared/PlaceFields';
import type { RecordData } from './sections/spec';
import { TouchedDialog } from '../../shared/section/TouchedDialog';
import { useSubjectAction } from '../../shared/useSubjectAction';

type AddressData = RecordData['addresses']['addresses'][number];

/** A new address from a day on, for this record or for everybody at the old one. */
export function MoveDialog({ record, address, onClose }: { record: RecordData; address: AddressData; onClose: () => void }) {
    const [place, setPlace] = useState<Place>({ country: address.country, lines: '', locality: '', region: '', postcode: '' });
    const [since, setSince] = useState('');
    const isShared = address.sharedWith.length > 0;
    // Who else is there may come after the dialog has opened: it is the rule until somebody says otherwise.
    const [chosen, setEverybody] = useState<boolean>();
    const everybody = isShared && (chosen ?? true);
    const { run, problems, message } = useSaving();
    const act = useSubjectAction();
    const say = useSay();

    const [touched, setTouched] = useState<Schemas['TouchedDocuments']>();
    const params = { path: { id: record.party.id, addressUse: address.id } };
    const body = (documentIds: number[]) => ({ ...place, since, everybody, documentIds });

    const move = (documentIds: number[]) => run(async () => {
        await act(() => ask(api.POST('/api/parties/{id}/addresses/{addressUse}/move', { params, body: body(documentIds) })));
        say(everybody ? 'Moved, with everybody there.' : 'Moved.');
        onClose();
    });

    /** Asks first which documents take the new address, where any shows the old one. */
    const save = async (event: FormEvent) => {
        event.preventDefault();
        let found: Schemas['TouchedDocuments'] | undefined;
        const isAsked = await run(async () => {
            found = await ask(api.POST('/api/parties/{id}/touched/addresses/{addressUse}', { params, body: body([]) }));
        });
        if (isAsked && found !== undefined && found.documents.length > 0) {
            setTouched(found);
        } else if (isAsked) {
            await move([]);
        }
    };

    return (
        <Dialog title={`${record.party.displayName} moves`} onClose={onClose} isWide>
            <Form onSubmit={(event) => void save(event)}>
                <Small>From {address.text.join(', ')}. The old address is kept until the day before.</Small>
                <Field
                    label="First day at the new address"
                    autoFocus
                    width="name"
                    placeholder="today"
                    value={since}
                    onChange={setSince}
                    problem={problems.since}
                />
                <PlaceFields
                    partyId={record.party.id}
                    place={place}
                    problemAt={(field) => problems[field]}
                    onChange={(part) => setPlace((kept) => ({ ...kept, ...part }))}
                />
                {isShared && (
                    <Tick
                        isSelected={everybody}
                        onChange={setEverybody}
                    >{`everybody here moves: also ${sharers(address)}`}</Tick>
                )}
                {message !== undefined && <Notice tone="stop" title="Not moved">{message}</Notice>}
                <DialogButtons>
                    <MainButton type="submit">Move</MainButton>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
            {touched !== undefined && (
                <TouchedDialog
                    touched={touched}
                    onAnswer={(documentIds) => {
                        setTouched(undefined);
                        if (documentIds !== undefined) {
                            void move(documentIds);
                        }
                    }}
                />
            )}
        </Dialog>
    );
}
