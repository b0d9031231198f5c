import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { choicesQuery, knownAddressesQuery } from '../api/queries';
import { useQuiet } from '../api/useQuiet';
import { fiveDigits, zipQuery } from '../api/zips';
import { Button, QuietButton } from '../ui/Button';
import { ChooseFromMany } from '../ui/ChooseFromMany';
import { Field } from '../ui/Field';
import { useSay } from '../ui/StatusLine';
import { Suggest } from '../ui/Suggest';
import { FieldRow, Row, Small, Stack } from '../ui/Text';

export type Place = Pick<Schemas['AddressInput'], 'country' | 'lines' | 'locality' | 'region' | 'postcode'>;

interface Props {
    partyId: number;
    place: Place;
    problemAt: (field: string) => string | undefined;
    onChange: (part: Partial<Place>) => void;
    /** Uses an address of the book by link, where that can be. */
    onLink?: ((address: Schemas['KnownAddress']) => void) | undefined;
}

/**
 * A postal address, typed in the order of its country, or pasted whole and taken apart; what the book and the table
 * of ZIP codes know is proposed.
 */
export function PlaceFields({ partyId, place, problemAt, onChange, onLink }: Props) {
    const { data: choices } = useQuery(choicesQuery);
    const [doubtful, setDoubtful] = useState<string[]>([]);
    const layout =
        choices?.layouts.find(({ country }) => country === place.country) ?? choices?.layouts.find(({ country }) => country === '');
    const [hasTyped, setTyped] = useState(false);
    const hint = (part: string) => doubtful.includes(part) ? { hint: 'Is this right?' } : {};

    const parts = (layout?.order ?? [])
        .filter((part) => part !== 'lines')
        .map((part) => {
            const text = { value: place[part as 'locality' | 'region' | 'postcode'], problem: problemAt(part) };
            const onType = (value: string) => {
                setTyped(true);
                onChange({ [part]: value });
            };
            switch (part) {
                case 'region':
                    return (layout?.regions.length ?? 0) > 0 ? (
                        <Suggest
                            key={part}
                            label={layout?.regionName ?? ''}
                            width="code"
                            options={(layout?.regions ?? []).map(({ code, name }) => ({ id: code, name: `${code} ${name}` }))}
                            onType={(value) => onType(regionCode(value))}
                            {...text}
                        />
                    ) : (
                        <Field key={part} label={layout?.regionName ?? ''} width="word" onChange={onType} {...text} {...hint(part)} />
                    );
                case 'postcode':
                    return (
                        <Field
                            key={part}
                            label={layout?.postcodeName ?? ''}
                            width="code"
                            onChange={onType}
                            placeholder={layout?.postcodeExample.split(' or ')[0] ?? ''}
                            {...text}
                            {...hint(part)}
                        />
                    );
                default:
                    return (
                        <Field key={part} label={layout?.localityName ?? ''} width="name" onChange={onType} {...text} {...hint(part)} />
                    );
            }
        });

    return (
        <>
            <PasteWhole
                partyId={partyId}
                onRead={({ doubtful: unsure, ...read }) => {
                    setDoubtful(unsure);
                    onChange(read);
                }}
            />
            <FieldRow>
                <Field
                    label="Street, building, floor: one per line"
                    lines={2}
                    width="line"
                    value={place.lines}
                    onChange={(lines) => {
                        setTyped(true);
                        onChange({ lines });
                    }}
                    problem={problemAt('lines')}
                    {...hint('lines')}
                />
                <ChooseFromMany
                    label="Country"
                    width="name"
                    options={(choices?.countries ?? []).map(({ code, name }) => ({ id: code, name }))}
                    value={place.country}
                    onChange={(country) => onChange({ country })}
                    problem={
                        problemAt('country') ??
                        (doubtful.includes('country') ? 'Is this the country? It follows from the postcode.' : undefined)
                    }
                />
            </FieldRow>
            {hasTyped && <KnownAddresses partyId={partyId} place={place} onChange={onChange} onLink={onLink} />}
            <FieldRow>{parts}</FieldRow>
            {hasTyped && <ZipProposal place={place} onChange={onChange} />}
        </>
    );
}

/** The city and the state of the ZIP code that is typed, where they are others. */
function ZipProposal({ place, onChange }: { place: Place; onChange: Props['onChange'] }) {
    const { data: found } = useQuery(zipQuery(place.country === 'US' ? fiveDigits(place.postcode) : undefined));
    if (
        found == null ||
        (place.locality.trim().toLowerCase() === found.city.toLowerCase() && place.region.trim().toUpperCase() === found.state)
    ) {
        return null;
    }
    return (
        <Row $gap="small" role="status">
            <Small>By the ZIP code:</Small>
            <QuietButton onPress={() => onChange({ locality: found.city, region: found.state })}>
                Fill in {found.city}, {found.state}
            </QuietButton>
        </Row>
    );
}

/** Whole addresses of the book that begin as the street does. */
function KnownAddresses({ partyId, place, onChange, onLink }: Pick<Props, 'partyId' | 'place' | 'onChange' | 'onLink'>) {
    const { data: found } = useQuery(knownAddressesQuery(useQuiet(place.lines.trim()), place.country, partyId));
    const isTheSame = (address: Schemas['KnownAddress']) =>
        (['lines', 'locality', 'region', 'postcode'] as const).every((part) => address[part] === place[part]);
    return (
        <Stack $gap="tight" role="status">
            {(place.lines.trim() === '' ? [] : found ?? []).map((address) => (
                <Row key={address.addressId} $gap="small">
                    <Small>
                        In the book: {address.text.join(', ')} ({address.usedBy.map(({ name }) => name).join(', ')})
                    </Small>
                    {onLink !== undefined && (
                        <QuietButton aria-label={`Use the address of ${address.usedBy[0]?.name} by link`} onPress={() => onLink(address)}>
                            Use it by link
                        </QuietButton>
                    )}
                    {!isTheSame(address) && (
                        <QuietButton
                            aria-label={`Copy the address of ${address.usedBy[0]?.name}`}
                            onPress={() =>
                                onChange({
                                    country: address.country,
                                    lines: address.lines,
                                    locality: address.locality,
                                    region: address.region,
                                    postcode: address.postcode,
                                })
                            }
                        >
                            Copy it
                        </QuietButton>
                    )}
                </Row>
            ))}
        </Stack>
    );
}

/** Takes apart a whole address that stands in a letter or an email. */
function PasteWhole({ partyId, onRead }: { partyId: number; onRead: (parts: Schemas['AddressParts']) => void }) {
    const [typed, setTyped] = useState<string>();
    const say = useSay();

    const read = async (text: string) => {
        try {
            onRead(await ask(api.GET('/api/parties/{id}/addresses', { params: { path: { id: partyId }, query: { typed: text } } })));
            setTyped(undefined);
            say('Split into its parts. Check them before you save.');
        } catch (error) {
            say(`Not split into parts. ${(error as Error).message}`);
        }
    };
    if (typed === undefined) {
        return <div><QuietButton onPress={() => setTyped('')}>Paste a whole address</QuietButton></div>;
    }
    return (
        <>
            <Field
                label="The whole address"
                lines={4}
                autoFocus
                width="wide"
                placeholder={'14 Meridian Lane\nBrattleboro, VT 05301'}
                value={typed}
                onChange={setTyped}
            />
            <Row $gap="small">
                <Button isDisabled={typed.trim() === ''} onPress={() => void read(typed)}>Split it into parts</Button>
                <QuietButton onPress={() => setTyped(undefined)}>Cancel</QuietButton>
            </Row>
        </>
    );
}

/** A region that was picked from the list stands as its code; one that is being typed stays as typed. */
function regionCode(text: string): string {
    return /^([A-Z]{2,3}) [A-Z]/.exec(text)?.[1] ?? text;
}
