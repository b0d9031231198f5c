import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import {
    conflictSearchesQuery, conflictSearchQuery, engagementKindsQuery, engagementQuery, forget, keepAnswer,
} from '../../api/queries';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Sheet } from '../../ui/Page';
import { FieldRow, Heading, Mark, Notice, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';

type Engagement = Schemas['Engagement'];

/** Names to be looked for before the firm takes somebody on, and the searches that were made. */
export function SearchConflicts() {
    const [search] = useSearchParams();
    const engagementId = Number(search.get('engagement')) || undefined;
    const { data: engagement, error, refetch } = useQuery({ ...engagementQuery(engagementId ?? 0), enabled: engagementId !== undefined });
    const { data: kinds, error: kindsError } = useQuery(engagementKindsQuery);
    const { data: searches } = useQuery(conflictSearchesQuery(engagementId));
    const { mayChangeRecords } = useSession();
    useTitle('Conflict search');

    if (kinds === undefined || (engagementId !== undefined && engagement === undefined)) {
        return <AwaitedSheet what="The page" error={error ?? kindsError} retry={() => void refetch()} />;
    }
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Row>
                    <Title>Conflict search</Title>
                    {engagement !== undefined && (
                        <span>for <Link to={`/engagements/${engagement.row.id}`}>{engagement.row.number} {engagement.row.title}</Link></span>
                    )}
                </Row>
                {mayChangeRecords && <SearchForm engagement={engagement} kinds={kinds} />}
                <Stack $gap="small" $stretch>
                    <Heading>Searches made</Heading>
                    {searches?.length === 0 && <Quiet>None yet. Each is kept as it was, whether or not anything was found.</Quiet>}
                    {searches?.map(({ id, byText, names, undecided, engagement: of }) => (
                        <Row key={id} $gap="small">
                            <Link to={`/conflicts/${id}`}>{names.map(({ name }) => name).slice(0, 4).join(', ')}{names.length > 4 && ' …'}</Link>
                            <Small>{[byText, of !== null && of.number].filter(Boolean).join(' · ')}</Small>
                            {undecided > 0 && <Mark tone="look">{undecided} to decide</Mark>}
                        </Row>
                    ))}
                </Stack>
            </Stack>
        </Sheet>
    );
}

/** "Edith Larkin, insured": a name, and its role after the last comma where that is one of the roles. */
function namesOf(typed: string, usual: string, roles: string[]): { name: string; role: string }[] {
    return typed.split('\n').filter((text) => text.trim() !== '').map((text) => {
        const at = text.lastIndexOf(',');
        const role = roles.find((one) => at !== -1 && one.toLowerCase() === text.slice(at + 1).trim().toLowerCase());
        return role === undefined ? { name: text.trim(), role: usual } : { name: text.slice(0, at).trim(), role };
    });
}

function SearchForm({ engagement, kinds }: { engagement: Engagement | undefined; kinds: Schemas['EngagementKind'][] }) {
    const [typed, setTyped] = useState(
        () => engagement?.parties.map(({ party, role }) => `${party.displayName}, ${role}`).join('\n') ?? '',
    );
    const ofKind = engagement === undefined ? kinds : kinds.filter(({ id }) => id === engagement.row.kindId);
    const roles = [...new Set(ofKind.flatMap((kind) => kind.roles.filter(({ isRetired }) => !isRetired).map(({ name }) => name)))];
    const clients = ofKind.flatMap((kind) => kind.roles.filter(({ isClient }) => isClient).map(({ name }) => name));
    const [usual, setUsual] = useState(clients[0] ?? roles[0] ?? '');
    const { run, problems, message } = useSaving();
    const navigate = useNavigate();

    return (
        <Form
            aria-label="Names to look for"
            takesFocus
            isFleeting
            $stretch
            onSubmit={(event) => {
                event.preventDefault();
                void run(async () => {
                    const found = await ask(api.POST('/api/conflict-searches', {
                        body: { engagementId: engagement?.row.id ?? null, names: namesOf(typed, usual, roles) },
                    }));
                    keepAnswer(conflictSearchQuery(found.id).queryKey, found);
                    void forget(['conflicts', 'list'], ['engagements']);
                    await navigate(`/conflicts/${found.id}`);
                });
            }}
        >
            <Field
                label="All names concerned, one a line"
                lines={8}
                width="full"
                value={typed}
                onChange={setTyped}
                problem={problems.names}
                hint={`With a role after a comma, where it is known: ${roles.slice(0, 4).join(', ')} …`}
            />
            <FieldRow $foot>
                <ChooseOne
                    label="Where no role stands"
                    width="word"
                    options={roles.map((name) => ({ id: name, name }))}
                    value={usual}
                    onChange={setUsual}
                />
            </FieldRow>
            {message !== undefined && <Notice tone="stop" title="Not searched">{message}</Notice>}
            <Row $gap="small">
                <MainButton type="submit">Search</MainButton>
                {typed !== '' && <Button onPress={() => setTyped('')}>Clear the names</Button>}
            </Row>
        </Form>
    );
}
