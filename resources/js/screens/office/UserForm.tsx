import { useState, type FormEvent } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { useSaving } from '../../api/useSaving';
import { useTitles } from '../../shared/titles';
import { Button, MainButton } from '../../ui/Button';
import { ChooseOne, Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Notice, Row } from '../../ui/Text';

type User = Schemas['User'];

interface Props {
    /** Undefined for a new one. */
    user: User | undefined;
    onSaved: (users: User[]) => void;
    onClose: () => void;
}

/** Adds a colleague, or changes what one may do. */
export function UserForm({ user, onSaved, onClose }: Props) {
    const [name, setName] = useState(user?.name ?? '');
    const [email, setEmail] = useState('');
    const [role, setRole] = useState<User['role']>(user?.role ?? 'clerk');
    const [password, setPassword] = useState('');
    const [isRetired, setRetired] = useState(user?.isRetired ?? false);
    const { run, problems, message } = useSaving();
    const roles = useTitles('roles');
    const say = useSay();

    const save = async (event: FormEvent) => {
        event.preventDefault();
        await run(async () => {
            onSaved(await ask(user === undefined
                ? api.POST('/api/users', { body: { name, email, role, password } })
                : api.PUT('/api/users/{user}', { params: { path: { user: user.id } }, body: { name, role, password, isRetired } })));
            say(user === undefined ? `${name} can sign in now.` : `${name} saved.`);
        });
    };

    return (
        <Form
            noValidate
            aria-label={user === undefined ? 'Add a colleague' : `Change ${user.name}`}
            onSubmit={(event) => void save(event)}
            onLeave={onClose}
        >
            <FieldRow>
                <Field label="Name" width="name" autoFocus value={name} onChange={setName} problem={problems.name} />
                {user === undefined && (
                    <Field
                        label="Email"
                        type="email"
                        width="phrase"
                        autoComplete="off"
                        value={email}
                        onChange={setEmail}
                        problem={problems.email}
                    />
                )}
                <ChooseOne
                    label="Role"
                    width="day"
                    options={roles}
                    value={role}
                    onChange={(id) => setRole(id)}
                    problem={problems.role}
                />
                <Field
                    label={user === undefined ? 'First password' : 'New password'}
                    type="password"
                    width="name"
                    autoComplete="new-password"
                    hint={user === undefined ? 'At least 12 characters.' : 'Empty leaves it as it is.'}
                    value={password}
                    onChange={setPassword}
                    problem={problems.password}
                />
            </FieldRow>
            {user !== undefined && <Tick isSelected={isRetired} onChange={setRetired}>no longer at the office</Tick>}
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <Row $gap="small">
                <MainButton type="submit">{user === undefined ? 'Add this colleague' : 'Save'}</MainButton>
                <Button onPress={onClose}>Cancel</Button>
            </Row>
        </Form>
    );
}
