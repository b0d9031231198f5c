import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { forget, forgetLookAlikes } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { MainButton, Button } from '../../ui/Button';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { Notice, Quiet, Stack } from '../../ui/Text';

type Line = Schemas['SharedLine'];

/** Who stands behind a line, in the order in which one asks: who was spoken to last first. */
export function Holders({ line, name }: { line: Line; name: string }) {
    return (
        <span>
            <strong>{name === '' ? line.text : name}</strong>{': '}
            {line.holders.map(({ name: who, spoken }) => spoken === '' ? who : `${who}, spoken to on ${spoken}`).join('; ')}
        </span>
    );
}

const WHEN: Record<Line['kind'], string> = {
    phone: 'When it calls,', email: 'When it writes,', address: 'When post comes from there,',
};

/** Gives a phone, an email or an address that different people share a name, and shows before what one will see when it calls. */
export function LineDialog({ line, onClose }: { line: Line; onClose: () => void }) {
    const [name, setName] = useState(line.name === '' ? line.proposed : line.name);
    const { run, problems, message } = useSaving();
    const say = useSay();
    const save = () => run(async () => {
        const body = { kind: line.kind, value: line.value, name } as const;
        await ask(line.id === null
            ? api.POST('/api/shared-lines', { body })
            : api.PUT('/api/shared-lines/{line}', { params: { path: { line: line.id } }, body }));
        onClose();
        say(`${line.text} is “${name.trim()}” now.`);
        await forgetLookAlikes();
        await forget(['records']);
    });
    return (
        <Dialog title={line.id === null ? 'They share it' : 'Call it otherwise'} onClose={onClose}>
            <Form takesFocus onSave={save} onSubmit={() => void save()}>
                <p>
                    Different people rightly share {line.text}: a household, a front desk. It stays with each of them, and is no reason any
                    more to take two of them for one.
                </p>
                <Field label="What it is called" value={name} onChange={setName} problem={problems.name} />
                <Stack $gap="tight">
                    <Quiet>{WHEN[line.kind]} you will see:</Quiet>
                    <Holders line={line} name={name.trim()} />
                </Stack>
                {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
                <DialogButtons>
                    <MainButton type="submit">Save the name</MainButton>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}
