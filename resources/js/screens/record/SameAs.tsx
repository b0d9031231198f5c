import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { recordQuery } from '../../api/queries';
import { Button, QuietButton } from '../../ui/Button';
import { useSay } from '../../ui/StatusLine';
import { Quiet, Row } from '../../ui/Text';
import { inForce } from './addresses';
import { RecordPicker } from '../../shared/RecordPicker';
import type { RecordData } from './sections/spec';

type AddressData = RecordData['addresses']['addresses'][number];

interface Props {
    record: RecordData;
    onChoose: (address: AddressData, owner: string) => void;
}

/** Uses the address of another record by link: of one tied by a position or a relation, or of any; of several, which. */
export function SameAs({ record, onChoose }: Props) {
    const [isPicking, setPicking] = useState(false);
    const [several, setSeveral] = useState<RecordData>();
    const client = useQueryClient();
    const say = useSay();
    const tied = [...record.positions.positions, ...record.relations.relations].filter(({ period }) => period.isInForce).slice(0, 4);

    const take = (other: RecordData, address: AddressData) => {
        onChoose(address, address.sameAs?.name ?? other.party.displayName);
        setPicking(false);
        setSeveral(undefined);
    };
    const choose = async (id: number) => {
        try {
            const other = await client.fetchQuery(recordQuery(id));
            const [first, ...more] = inForce(other);
            if (first === undefined) {
                say(`${other.party.displayName} has no address yet.`);
            } else if (more.length > 0) {
                setSeveral(other);
            } else {
                take(other, first);
            }
        } catch (error) {
            say((error as Error).message);
        }
    };

    if (several !== undefined) {
        return (
            <Row $gap="small" role="group" aria-label={`Which address of ${several.party.displayName}`}>
                <Quiet>Which of {several.party.displayName}’s?</Quiet>
                {inForce(several).map((address, at) => (
                    <Button key={address.id} autoFocus={at === 0} onPress={() => take(several, address)}>
                        {address.text.join(', ')}
                    </Button>
                ))}
                <QuietButton onPress={() => setSeveral(undefined)}>None of them</QuietButton>
            </Row>
        );
    }
    return (
        <>
            {tied.map(({ party }) => (
                <Button key={party.id} onPress={() => void choose(party.id)}>Use {party.displayName}’s address</Button>
            ))}
            {isPicking
                ? <RecordPicker label="Whose address?" onPick={(party) => void choose(party.id)} onLeave={() => setPicking(false)} />
                : <Button onPress={() => setPicking(true)}>Use another record’s address …</Button>}
        </>
    );
}
