import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { countriesQuery, forget, officeQuery } from '../../api/queries';
import type { Session } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { useOfficeWords } from '../../shared/officeWords';
import { MainButton } from '../../ui/Button';
import { ChooseOne, Tick } from '../../ui/Choose';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Heading, Notice, Quiet } from '../../ui/Text';

/** What is typed of it; its logo is chosen beside it. */
type Office = Omit<Schemas['Office'], 'logo'>;

const SIGNS = [
    { id: 'country', name: 'as the country does' },
    { id: 'point', name: '1,250.00: a point' },
    { id: 'comma', name: '1.250,00: a comma' },
];

const ORDERS = [{ id: 'month', name: 'March 4: month first' }, { id: 'day', name: '3 April: day first' }];

/** The name and the address of the office, and how it writes. */
export function OfficeForm({ onSaved }: { onSaved: (session: Session) => void }) {
    const { data: office } = useQuery(officeQuery);
    if (office === undefined) {
        return null;
    }
    const { logo, ...typed } = office;
    return <OneForm key={JSON.stringify(typed)} office={typed} onSaved={onSaved} />;
}

function OneForm({ office, onSaved }: { office: Office; onSaved: (session: Session) => void }) {
    const [draft, setDraft] = useState(office);
    const { run, problems, message } = useSaving();
    const { data: countries } = useQuery(countriesQuery);
    const words = useOfficeWords();
    const say = useSay();
    const set = (part: Partial<Office>) => setDraft({ ...draft, ...part });

    const save = async (event: FormEvent) => {
        event.preventDefault();
        const { currency, zone, zones, ...body } = draft;
        await run(async () => {
            onSaved(await ask(api.PUT('/api/office', { body })));
            await forget(officeQuery.queryKey);
            say('Office saved.');
        });
    };

    return (
        <Form aria-label="Name and country" onSubmit={(event) => void save(event)}>
            <Heading>Name, address and formats</Heading>
            <FieldRow>
                <Field
                    label="Name of the office"
                    width="line"
                    value={draft.name}
                    onChange={(name) => set({ name })}
                    problem={problems.name}
                />
                <ChooseFromMany
                    label="Country"
                    width="name"
                    options={(countries ?? []).map(({ code, name }) => ({ id: code, name }))}
                    value={draft.country}
                    onChange={(country) => set({ country })}
                    problem={problems.country}
                />
            </FieldRow>
            <FieldRow>
                <Field
                    label="Street, building, floor: one per line"
                    lines={2}
                    width="line"
                    value={draft.lines}
                    onChange={(lines) => set({ lines })}
                    problem={problems.lines}
                />
                <Field
                    label={words.city}
                    width="word"
                    value={draft.locality}
                    onChange={(locality) => set({ locality })}
                    problem={problems.locality}
                />
                <Field
                    label={words.state}
                    width="figure"
                    value={draft.region}
                    onChange={(region) => set({ region })}
                    problem={problems.region}
                />
                <Field
                    label={words.zip}
                    width="figure"
                    value={draft.postcode}
                    onChange={(postcode) => set({ postcode })}
                    problem={problems.postcode}
                />
            </FieldRow>
            <FieldRow>
                <Field label="Phone" width="word" value={draft.phone} onChange={(phone) => set({ phone })} problem={problems.phone} />
                <Field label="Email" width="line" value={draft.email} onChange={(email) => set({ email })} problem={problems.email} />
            </FieldRow>
            <Field
                label="How to pay us, as printed on invoices and letters"
                lines={3}
                width="full"
                value={draft.howToPay}
                onChange={(howToPay) => set({ howToPay })}
                problem={problems.howToPay}
            />
            <FieldRow>
                <ChooseOne
                    label="What 3/4 means when it is typed"
                    width="name"
                    options={ORDERS}
                    value={draft.monthFirst ? 'month' : 'day'}
                    onChange={(order) => set({ monthFirst: order === 'month' })}
                />
                <ChooseOne
                    label="Decimals when they are typed"
                    width="name"
                    options={SIGNS}
                    value={draft.decimalComma === null ? 'country' : draft.decimalComma ? 'comma' : 'point'}
                    onChange={(sign) => set({ decimalComma: sign === 'country' ? null : sign === 'comma' })}
                />
                <ChooseFromMany
                    label="Time zone"
                    width="line"
                    options={[
                        { id: 'address', name: `by the address${office.timeZone === '' ? `: ${office.zone.replaceAll('_', ' ')}` : ''}` },
                        ...office.zones.map((id) => ({ id, name: id.replaceAll('_', ' ') })),
                    ]}
                    value={draft.timeZone === '' ? 'address' : draft.timeZone}
                    onChange={(zone) => set({ timeZone: zone === 'address' ? '' : zone })}
                    problem={problems.timeZone}
                />
            </FieldRow>
            <Field
                label="Where address books elsewhere may be read (CardDAV): one address per line"
                lines={2}
                width="full"
                placeholder="https://contacts.example.com"
                value={draft.cardPlaces}
                onChange={(cardPlaces) => set({ cardPlaces })}
                problem={problems.cardPlaces}
            />
            <Tick isSelected={draft.clerksMakeOne} onChange={(clerksMakeOne) => set({ clerksMakeOne })}>
                Clerks may make records one, and take them apart; else they propose it
            </Tick>
            <Quiet>Amounts typed without a currency are in {office.currency}, by the country.</Quiet>
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <MainButton type="submit" isDisabled={JSON.stringify(draft) === JSON.stringify(office)}>Save the office</MainButton>
        </Form>
    );
}
