import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask } from '../../api/client';
import { bookPlacesQuery, forget, importsQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton } from '../../ui/Button';
import { asOptions } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Suggest } from '../../ui/Suggest';
import { FieldRow, Heading, Notice, Quiet, Row, Small, Stack } from '../../ui/Text';

/** Contacts from an address book elsewhere, at a place that the office allows. */
export function Elsewhere() {
    const { data } = useQuery(bookPlacesQuery);
    const { mayRunOffice } = useSession();
    const [isOpen, setOpen] = useState(false);
    if (data === undefined) {
        return null;
    }
    return (
        <Stack as="section" aria-labelledby="elsewhere" $stretch>
            <Heading id="elsewhere">From an address book elsewhere</Heading>
            {data.places.length === 0 && (
                <Quiet>
                    A calendar or mail program’s address book can be read by CardDAV, once an administrator has said under
                    {' '}{mayRunOffice ? <Link to="/office">Office</Link> : 'Office'} where.
                </Quiet>
            )}
            {data.places.length > 0 && !isOpen && (
                <Row $gap="small">
                    <Button onPress={() => setOpen(true)}>Fetch its contacts</Button>
                    <Small>by CardDAV, from {data.places.join(', ')}</Small>
                </Row>
            )}
            {isOpen && <Fetch places={data.places} onClose={() => setOpen(false)} />}
        </Stack>
    );
}

function Fetch({ places, onClose }: { places: string[]; onClose: () => void }) {
    const [draft, setDraft] = useState({ address: places.length === 1 ? places[0] ?? '' : '', name: '', password: '' });
    const { run, problems, message } = useSaving();
    const navigate = useNavigate();
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
    const fetch = () => run(async () => {
        const { id } = await ask(api.POST('/api/imports/elsewhere', { body: draft }));
        await forget(importsQuery.queryKey);
        await navigate(`/imports/${id}`);
    });
    return (
        <Form aria-label="An address book elsewhere" takesFocus onSubmit={() => void fetch()} onLeave={onClose}>
            <FieldRow>
                <Suggest
                    label="Address" width="wide" options={asOptions(places)} value={draft.address}
                    onType={(address) => set({ address })} problem={problems.address}
                />
                <Field label="Name there" width="name" autoComplete="off" value={draft.name} onChange={(name) => set({ name })} problem={problems.name} />
                <Field
                    label="Password there" width="name" type="password" autoComplete="off" value={draft.password}
                    onChange={(password) => set({ password })} problem={problems.password}
                />
            </FieldRow>
            <Small>Neither is kept. Everything is shown first, as of a file.</Small>
            {message !== undefined && <Notice tone="stop" title="Not fetched">{message}</Notice>}
            <Row $gap="small">
                <MainButton type="submit">Fetch the contacts</MainButton>
                <Button onPress={onClose}>Cancel</Button>
            </Row>
        </Form>
    );
}
