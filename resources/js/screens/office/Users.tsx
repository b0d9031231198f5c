import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { keepAnswer, usersQuery } from '../../api/queries';
import { Button, QuietButton } from '../../ui/Button';
import { Heading, Hidden, Quiet, Stack } from '../../ui/Text';
import { line, narrow, space, type } from '../../ui/tokens';
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
    const keep = (saved: User[]) => {
        keepAnswer(usersQuery.queryKey, saved);
        setEdited(undefined);
    };

    return (
        <Stack as="section" data-section aria-label="People who sign in" $stretch>
            <Heading>People who sign in</Heading>
            <Table>
                <thead>
                    <tr><th>Name</th><th>Email</th><th>Role</th><th>May</th><th><Hidden>Change</Hidden></th></tr>
                </thead>
                <tbody>
                    {users?.map((user) => (
                        <tr key={user.id}>
                            <td>{user.name}</td>
                            <td>{user.email}</td>
                            <td>{user.isRetired ? 'retired' : user.role}</td>
                            <td><Quiet>{user.may}</Quiet></td>
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
        </Stack>
    );
}
