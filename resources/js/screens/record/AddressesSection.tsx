import { useState } from 'react';
import styled from 'styled-components';
import { useSession } from '../../api/session';
import { LongList } from '../../ui/LongList';
import { AddRow } from '../../ui/AddRow';
import { Menu } from '../../ui/Menu';
import { useSay } from '../../ui/StatusLine';
import { Mark, Row, Small, Stack } from '../../ui/Text';
import { size, space } from '../../ui/tokens';
import { AddressFields } from './AddressFields';
import { ClosedRow } from '../../shared/section/ClosedRow';
import { MapDialog } from './MapDialog';
import { MoveDialog } from './MoveDialog';
import { PartyLinks } from './PartyLinks';
import { SameAs } from './SameAs';
import { SectionFrame } from '../../shared/section/SectionFrame';
import { andMore, sharers } from './addresses';
import { addressesSpec, type AddressRow } from './sections/addresses';
import { newKey, type RecordData } from './sections/spec';
import { useMayEdit } from './useMayEdit';
import { useOpenRows } from '../../shared/section/useOpenRows';
import { useSection } from './useSection';

type AddressData = RecordData['addresses']['addresses'][number];

const Lines = styled.address<{ $isPast: boolean }>`
    display: grid;
    gap: ${space.hair};
    font-style: normal;
    color: ${({ $isPast }) => $isPast ? 'var(--quiet)' : 'inherit'};
`;

const OneAddress = styled(Stack)`padding-bottom: ${space.small};`;

const Tools = styled.div`margin-left: -${size.beside};`;

function blank(country: string, isPrimary: boolean): AddressRow {
    return {
        key: newKey(), id: null, linkedAddressId: null, linkedTo: '', text: [], addressId: null, isShared: false,
        country, lines: '', locality: '', region: '', postcode: '', attention: '', careOf: '',
        uses: [], isPrimary, since: '', until: '',
    };
}

function withoutBlanks(rows: AddressRow[]): AddressRow[] {
    return rows.filter((row) => row.id !== null || row.linkedAddressId !== null
        || [row.lines, row.locality, row.region, row.postcode].some((text) => text.trim() !== ''));
}

export function AddressesSection({ record }: { record: RecordData }) {
    const home = useSession().officeCountry ?? 'US';
    const edit = useSection(record, addressesSpec, {
        starter: (rows) => rows.length === 0 ? [blank(home, true)] : rows,
        tidy: withoutBlanks,
    });
    const { addresses } = record.addresses;

    return (
        <SectionFrame
            edit={edit}
            saveLabel="Save addresses"
            folded={addresses.length === 0 ? 'No address yet: letters and invoices cannot be posted.' : undefined}
            read={
                <LongList
                    items={addresses}
                    noun="addresses"
                    render={(address) => <AddressView key={address.id} record={record} address={address} isOnly={addresses.length === 1} />}
                />
            }
            fields={(draft) => <AddressList record={record} rows={draft} problems={edit.problems} onChange={edit.change} home={home} />}
        />
    );
}

function AddressView({ record, address, isOnly }: { record: RecordData; address: AddressData; isOnly: boolean }) {
    const [open, setOpen] = useState<'map' | 'move'>();
    const mayEdit = useMayEdit(record);
    const say = useSay();
    const copy = (lines: string[]) =>
        void navigator.clipboard.writeText(lines.join('\n')).then(
            () => say('Copied.'),
            () => say('Not copied: the browser does not allow it here.'),
        );
    const notes = [
        address.attention !== '' && `to the attention of ${address.attention}`,
        address.careOf !== '' && `in care of ${address.careOf}`,
        !isOnly && address.isPrimary && 'primary',
        ...address.uses,
        address.period.text,
    ]
        .filter(Boolean)
        .join(', ');
    return (
        <OneAddress $gap="hair">
            <Lines $isPast={!address.period.isInForce}>
                {address.text.map((line, index) => <span key={index}>{line}</span>)}
            </Lines>
            <Row $gap="small">
                {notes !== '' && <Small>{notes}</Small>}
                {!address.period.isInForce && <Small>not in use today</Small>}
                {address.missing.length > 0 && <Mark tone="look">incomplete: {address.missing.join(', ')} missing</Mark>}
            </Row>
            <Tools>
                <Menu
                    label="This address"
                    items={[
                        { id: 'copy', name: 'Copy the address', onChoose: () => copy(address.text) },
                        { id: 'envelope', name: 'Copy for an envelope', onChoose: () => copy(address.envelope) },
                        { id: 'label', name: 'Copy for a label', onChoose: () => copy(address.label) },
                        { id: 'map', name: 'Show on a map', onChoose: () => setOpen('map') },
                        ...(mayEdit && address.period.isInForce
                            ? [{ id: 'move', name: 'They move …', onChoose: () => setOpen('move') }]
                            : []),
                    ]}
                />
            </Tools>
            {open === 'map' && <MapDialog address={address} onClose={() => setOpen(undefined)} />}
            {open === 'move' && <MoveDialog record={record} address={address} onClose={() => setOpen(undefined)} />}
            {address.lineName !== '' && <Small>{address.lineName}</Small>}
            {address.sameAs !== null
                ? <Small>same as <PartyLinks parties={[address.sameAs]} />, by link</Small>
                : address.sharedWith.length > 0 && (
                    <Small>also used by <PartyLinks parties={address.sharedWith} />{andMore(address)}</Small>
                )}
        </OneAddress>
    );
}

interface ListProps {
    record: RecordData;
    rows: AddressRow[];
    problems: Record<string, string>;
    onChange: (rows: AddressRow[]) => void;
    home: string;
}

function AddressList({ record, rows, problems, onChange, home }: ListProps) {
    const change = (index: number, change: Partial<AddressRow>) =>
        onChange(rows.map((row, at) => at === index ? { ...row, ...change } : row));
    const { isOpen, open } = useOpenRows(rows, problems, 'addresses');
    const add = (row: AddressRow) => onChange([...withoutBlanks(rows), { ...row, isPrimary: withoutBlanks(rows).length === 0 }]);

    return (
        <Stack $wide>
            {rows.map((row, index) =>
                !isOpen(index) ? (
                    <ClosedRow
                        key={row.key}
                        name={row.text.join(', ')}
                        notes={row.uses.join(', ')}
                        onOpen={() => open(row.key)}
                        onRemove={() => onChange(rows.filter((_, at) => at !== index))}
                    />
                ) : (
                    <AddressFields
                        key={row.key}
                        partyId={record.party.id}
                        row={row}
                        sharedWith={record.addresses.addresses.filter(({ id }) => id === row.id).map(sharers).join()}
                        problemAt={(field) => problems[`addresses.${index}.${field}`]}
                        hasOthers={rows.length > 1}
                        onChange={(part) => change(index, part)}
                        onMakePrimary={() => onChange(rows.map((other, at) => ({ ...other, isPrimary: at === index })))}
                        onRemove={() => onChange(rows.filter((_, at) => at !== index))}
                    />
                ),
            )}
            <Row $gap="small">
                <AddRow onAdd={() => onChange([...rows, blank(home, rows.length === 0)])}>Add an address</AddRow>
                <SameAs
                    record={record}
                    onChoose={(address, owner) => add({
                        ...blank(address.country, false), linkedAddressId: address.addressId, linkedTo: owner, text: address.text,
                        lines: address.lines, locality: address.locality, region: address.region, postcode: address.postcode,
                    })}
                />
            </Row>
        </Stack>
    );
}
