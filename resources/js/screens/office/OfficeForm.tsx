import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { api, ask, Refused } from '../../api/client';
import { countriesQuery } from '../../api/queries';
import type { Session } from '../../api/session';
import { MainButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Heading, Notice } from '../../ui/Text';

/** The name of the office, and the country from which numbers, dates and addresses are read. */
export function OfficeForm({ session, onSaved }: { session: Session; onSaved: (session: Session) => void }) {
    const [name, setName] = useState(session.officeName ?? '');
    const [country, setCountry] = useState(session.officeCountry ?? '');
    const [failure, setFailure] = useState<Error>();
    const { data: countries } = useQuery(countriesQuery);
    const say = useSay();
    const isChanged = name !== session.officeName || country !== session.officeCountry;

    const save = async (event: FormEvent) => {
        event.preventDefault();
        setFailure(undefined);
        try {
            onSaved(await ask(api.PUT('/api/office', { body: { name, country } })));
            say('Office saved.');
        } catch (error) {
            setFailure(error as Error);
        }
    };
    const problems = failure instanceof Refused ? failure.fields : {};

    return (
        <Form aria-label="Name and country" onSubmit={(event) => void save(event)}>
            <Heading>Name and country</Heading>
            <FieldRow>
                <Field label="Name of the office" width="300px" value={name} onChange={setName} problem={problems.name} />
                <ChooseOne
                    label="Country"
                    width="220px"
                    options={(countries ?? []).map(({ code, name: country }) => ({ id: code, name: country }))}
                    value={country}
                    onChange={setCountry}
                    problem={problems.country}
                />
            </FieldRow>
            {failure !== undefined && Object.keys(problems).length === 0 && <Notice tone="stop" title="Not saved">{failure.message}</Notice>}
            <MainButton type="submit" isDisabled={!isChanged}>Save the office</MainButton>
        </Form>
    );
}
