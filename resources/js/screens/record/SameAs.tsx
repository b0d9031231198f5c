import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { recordQuery } from '../../api/queries';
import { Button } from '../../ui/Button';
import { useSay } from '../../ui/StatusLine';
import { RecordPicker } from './RecordPicker';
import type { RecordData } from './sections';

type AddressData = RecordData['addresses']['addresses'][number];

interface Props {
    record: RecordData;
    onChoose: (address: AddressData, owner: string) => void;
}

/** Uses the address of another record by link: of one tied by a position or a relation, or of any. */
export function SameAs({ record, onChoose }: Props) {
    const [isPicking, setPicking] = useState(false);
    const client = useQueryClient();
    const say = useSay();
    const tied = [...record.positions.positions, ...record.relations.relations].filter(({ period }) => period.isInForce).slice(0, 4);

    const choose = async (id: number) => {
        try {
            const other = await client.fetchQuery(recordQuery(id));
            const { addresses } = other.addresses;
            const address = addresses.find(({ isPrimary }) => isPrimary) ?? addresses[0];
            if (address === undefined) {
                say(`${other.party.displayName} has no address yet.`);
            } else {
                onChoose(address, address.sameAs?.name ?? other.party.displayName);
                setPicking(false);
            }
        } catch (error) {
            say((error as Error).message);
        }
    };

    return (
        <>
            {tied.map(({ party }) => (
                <Button key={party.id} onPress={() => void choose(party.id)}>Same as {party.displayName}</Button>
            ))}
            {isPicking
                ? <RecordPicker label="Same as which record?" onPick={(party) => void choose(party.id)} onLeave={() => setPicking(false)} />
                : <Button onPress={() => setPicking(true)}>Same as another record …</Button>}
        </>
    );
}
