import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { keepAnswer, usersQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { Button, QuietButton } from '../../ui/Button';
import { useSay } from '../../ui/StatusLine';
import { Heading, Hidden, Notice, Quiet, Stack } from '../../ui/Text';
import { line, narrow, space, type } from '../../ui/tokens';
import { SecondFactorRoles } from './SecondFactorRoles';
import { UserForm } from './UserForm';

type User = Schemas['User'];

const Table = styled.table`
    width: 100%;
    border-collapse: collapse;
    ${narrow} { display: block; position: relative; overflow-x: auto; }
    th, td { padding: ${space.small} ${space.medium} ${space.small} 0; border-bottom: ${line.rule}; text-align: left; vertical-align: baseline; }
    th { color: var(--quiet); font-size: ${type.small}; font-weight: 500; }
`;

/** Who signs in, and what each may do. */
export function Users() {
    const { data: users } = useQuery(usersQuery);
    const [edited, setEdited] = useState<User | 'new'>();
    const { userId } = useSession();
    const { run, message } = useSaving();
    const say = useSay();
    const keep = (saved: User[]) => {
        keepAnswer(usersQuery.queryKey, saved);
        setEdited(undefined);
    };

    const reset = (user: User) => run(async () => {
        keep(await ask(api.DELETE('/api/users/{user}/second-factor', { params: { path: { user: user.id } } })));
        say(`Second factor of ${user.name} reset. They sign in with the password alone until they set it up again.`);
    });

    return (
        <Stack as="section" data-section aria-label="People who sign in" $stretch>
            <Heading>People who sign in</Heading>
            {message !== undefined && <Notice tone="stop" title="Not reset">{message}</Notice>}
            <Table>
                <thead>
                    <tr><th>Name</th><th>Email</th><th>Role</th><th>May</th><th>Second factor</th><th><Hidden>Change</Hidden></th></tr>
                </thead>
                <tbody>
                    {users?.map((user) => (
                        <tr key={user.id}>
                            <td>{user.name}</td>
                            <td>{user.email}</td>
                            <td>{user.isRetired ? 'retired' : user.role}</td>
                            <td><Quiet>{user.may}</Quiet></td>
                            <td>
                                {user.hasSecondFactor ? 'on' : <Quiet>off</Quiet>}
                                {user.hasSecondFactor && user.id !== userId && (
                                    <> <QuietButton aria-label={`Reset second factor of ${user.name}`} onPress={() => void reset(user)}>Reset</QuietButton></>
                                )}
                            </td>
                            <td><QuietButton aria-label={`Change ${user.name}`} onPress={() => setEdited(user)}>Change</QuietButton></td>
                        </tr>
                    ))}
                </tbody>
            </Table>
            {edited === undefined ? (
                <div>
                    <Button data-edit onPress={() => setEdited('new')}>
                        Add a colleague
                    </Button>
                </div>
            ) : (
                <UserForm
                    key={edited === 'new' ? 'new' : edited.id}
                    user={edited === 'new' ? undefined : edited}
                    onSaved={keep}
                    onClose={() => setEdited(undefined)}
                />
            )}
            <SecondFactorRoles />
        </Stack>
    );
}
