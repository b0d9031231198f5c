import { useQuery } from '@tanstack/react-query';
import { recordQuery } from '../../api/queries';
import { ChooseOne } from '../../ui/Choose';
import { FieldRow } from '../../ui/Text';
import { inForce } from './addresses';
import type { RelationRow, Whose } from './sections/relations';
import type { RecordData } from './sections/spec';

interface Props {
    record: RecordData;
    row: RelationRow;
    onChange: (part: Partial<RelationRow>) => void;
}

/** Whose address and phone a new relation shares, each in the direction that it says; only what is there can be shared. */
export function SharedReach({ record, row, onChange }: Props) {
    const { data: other } = useQuery(recordQuery(row.partyId));
    const choices = (has: (one: RecordData) => boolean) => [
        { id: 'own', name: 'each has their own' },
        ...(other !== undefined && has(other) ? [{ id: 'theirs', name: `${row.partyName}’s, here too by link` }] : []),
        ...(has(record) ? [{ id: 'ours', name: `${record.party.displayName}’s, there too by link` }] : []),
    ];
    const addresses = choices((one) => inForce(one).length > 0);
    const phones = choices((one) => one.reach.contactPoints.some(({ kind }) => kind === 'phone'));
    const source = row.address === 'theirs' ? other : row.address === 'ours' ? record : undefined;
    const several = source === undefined ? [] : inForce(source);

    return (
        <FieldRow>
            {addresses.length > 1 && (
                <ChooseOne
                    label="Address"
                    width="line"
                    options={addresses}
                    value={row.address}
                    onChange={(address) => onChange({ address: address as Whose, addressId: null })}
                />
            )}
            {several.length > 1 && (
                <ChooseOne
                    label="Which address"
                    width="line"
                    options={[
                        { id: 'post', name: 'the one that post goes to' },
                        ...several.map(({ addressId, text }) => ({ id: String(addressId), name: text.join(', ') })),
                    ]}
                    value={row.addressId === null ? 'post' : String(row.addressId)}
                    onChange={(id) => onChange({ addressId: id === 'post' ? null : Number(id) })}
                />
            )}
            {phones.length > 1 && (
                <ChooseOne
                    label="Phone"
                    width="line"
                    options={phones}
                    value={row.phone}
                    onChange={(phone) => onChange({ phone: phone as Whose })}
                />
            )}
        </FieldRow>
    );
}
