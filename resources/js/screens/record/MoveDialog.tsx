import { useState, type FormEvent } from 'react';
import { api, ask } from '../../api/client';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { Notice, Small } from '../../ui/Text';
import { PlaceFields, type Place } from './PlaceFields';
import type { RecordData } from './sections';
import { useRecordAction } from './useRecordAction';

type AddressData = RecordData['addresses']['addresses'][number];

/** A new address from a day on, for this record or for everybody at the old one. */
export function MoveDialog({ record, address, onClose }: { record: RecordData; address: AddressData; onClose: () => void }) {
    const [place, setPlace] = useState<Place>({ country: address.country, lines: '', locality: '', region: '', postcode: '' });
    const [since, setSince] = useState('');
    const [everybody, setEverybody] = useState(address.sharedWith.length > 0);
    const { run, problems, message } = useSaving();
    const act = useRecordAction(record.party.id);
    const say = useSay();

    const save = async (event: FormEvent) => {
        event.preventDefault();
        await run(async () => {
            await act(() => ask(api.POST('/api/parties/{id}/addresses/{addressUse}/move', {
                params: { path: { id: record.party.id, addressUse: address.id } }, body: { ...place, since, everybody },
            })));
            say(everybody ? 'Moved, with everybody there.' : 'Moved.');
            onClose();
        });
    };

    return (
        <Dialog title={`${record.party.displayName} moves`} onClose={onClose} isWide>
            <Form onSubmit={(event) => void save(event)}>
                <Small>From {address.text.join(', ')}. The old address is kept until the day before.</Small>
                <Field label="First day at the new address" autoFocus width="200px" placeholder="today" value={since} onChange={setSince} problem={problems.since} />
                <PlaceFields partyId={record.party.id} place={place} problemAt={(field) => problems[field]} onChange={(part) => setPlace((kept) => ({ ...kept, ...part }))} />
                {address.sharedWith.length > 0 && (
                    <Tick isSelected={everybody} onChange={setEverybody}>{`everybody here moves: also ${address.sharedWith.map(({ name }) => name).join(', ')}`}</Tick>
                )}
                {message !== undefined && <Notice tone="stop" title="Not moved">{message}</Notice>}
                <DialogButtons>
                    <MainButton type="submit">Move</MainButton>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}
