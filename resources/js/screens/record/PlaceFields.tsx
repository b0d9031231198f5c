import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { choicesQuery } from '../../api/queries';
import { Button, QuietButton } from '../../ui/Button';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Field } from '../../ui/Field';
import { useSay } from '../../ui/StatusLine';
import { Suggest } from '../../ui/Suggest';
import { FieldRow, Row } from '../../ui/Text';

export type Place = Pick<Schemas['AddressInput'], 'country' | 'lines' | 'locality' | 'region' | 'postcode'>;

interface Props {
    partyId: number;
    place: Place;
    problemAt: (field: string) => string | undefined;
    onChange: (part: Partial<Place>) => void;
}

/** A postal address, typed in the order of its country, or pasted whole and taken apart. */
export function PlaceFields({ partyId, place, problemAt, onChange }: Props) {
    const { data: choices } = useQuery(choicesQuery);
    const [doubtful, setDoubtful] = useState<string[]>([]);
    const layout = choices?.layouts.find(({ country }) => country === place.country) ?? choices?.layouts.find(({ country }) => country === '');
    const hint = (part: string) => doubtful.includes(part) ? { hint: 'Is this right?' } : {};

    const parts = (layout?.order ?? []).filter((part) => part !== 'lines').map((part) => {
        const text = { value: place[part as 'locality' | 'region' | 'postcode'], problem: problemAt(part) };
        const onType = (value: string) => onChange({ [part]: value });
        switch (part) {
            case 'region':
                return (layout?.regions.length ?? 0) > 0
                    ? <Suggest key={part} label={layout?.regionName ?? ''} width="120px" options={(layout?.regions ?? []).map(({ code, name }) => ({ id: code, name: `${code} ${name}` }))} onType={(value) => onType(regionCode(value))} {...text} />
                    : <Field key={part} label={layout?.regionName ?? ''} width="180px" onChange={onType} {...text} {...hint(part)} />;
            case 'postcode':
                return <Field key={part} label={layout?.postcodeName ?? ''} width="130px" onChange={onType} placeholder={layout?.postcodeExample.split(' or ')[0] ?? ''} {...text} {...hint(part)} />;
            default:
                return <Field key={part} label={layout?.localityName ?? ''} width="220px" onChange={onType} {...text} {...hint(part)} />;
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
                <Field label="Street, building, floor: one to a line" lines={2} width="380px" value={place.lines} onChange={(lines) => onChange({ lines })} problem={problemAt('lines')} {...hint('lines')} />
                <ChooseFromMany
                    label="Country"
                    width="200px"
                    options={(choices?.countries ?? []).map(({ code, name }) => ({ id: code, name }))}
                    value={place.country}
                    onChange={(country) => onChange({ country })}
                    problem={problemAt('country') ?? (doubtful.includes('country') ? 'Is this the country? It follows from the postcode.' : undefined)}
                />
            </FieldRow>
            <FieldRow>{parts}</FieldRow>
        </>
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
            say('Taken apart. Look it over before you save.');
        } catch (error) {
            say(`Not taken apart. ${(error as Error).message}`);
        }
    };
    if (typed === undefined) {
        return <div><QuietButton onPress={() => setTyped('')}>Paste a whole address</QuietButton></div>;
    }
    return (
        <>
            <Field label="The whole address" lines={4} autoFocus width="380px" placeholder={'14 Meridian Lane\nBrattleboro, VT 05301'} value={typed} onChange={setTyped} />
            <Row $gap="small">
                <Button isDisabled={typed.trim() === ''} onPress={() => void read(typed)}>Take it apart</Button>
                <QuietButton onPress={() => setTyped(undefined)}>Cancel</QuietButton>
            </Row>
        </>
    );
}

/** A region that was picked from the list stands as its code; one that is being typed stays as typed. */
function regionCode(text: string): string {
    return /^([A-Z]{2,3}) [A-Z]/.exec(text)?.[1] ?? text;
}
