import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { engagementKindsQuery, keepEngagement, recordQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { useSession } from '../../api/session';
import { newPartyRow, partiesInput, type PartyRow } from '../../shared/engagementParties';
import { Button, MainButton } from '../../ui/Button';
import { byNumber, ChooseOne } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Heading, Notice, Row, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { HeadFields } from './HeadFields';
import { PartyRows } from './PartiesSection';
import type { HeadDraft } from './sections';

type Kind = Schemas['EngagementKind'];

/** Begins a case or a project; from a record, with it as the client. */
export function BeginEngagement() {
    const [search] = useSearchParams();
    const clientId = Number(search.get('client')) || undefined;
    const { data: kinds, error, refetch } = useQuery(engagementKindsQuery);
    const { data: client, error: clientError } = useQuery({ ...recordQuery(clientId ?? 0), enabled: clientId !== undefined });
    const offered = kinds?.filter(({ isRetired }) => !isRetired) ?? [];
    const first = offered.find(({ id }) => id === Number(search.get('kind'))) ?? offered[0];

    if (kinds === undefined || (clientId !== undefined && client === undefined)) {
        return <AwaitedSheet what="The form" error={error ?? clientError} retry={() => void refetch()} />;
    }
    if (first === undefined) {
        return (
            <Sheet id="sheet" tabIndex={-1}>
                <p>The office has no kind of case or project yet. An administrator adds one under Office.</p>
            </Sheet>
        );
    }
    return <BeginForm kinds={offered} first={first} client={client?.party} title={search.get('title') ?? ''} />;
}

interface Props {
    kinds: Kind[];
    first: Kind;
    client: Schemas['PartyRow'] | undefined;
    title: string;
}

function BeginForm({ kinds, first, client, title }: Props) {
    const { officeCurrency } = useSession();
    const [kind, setKind] = useState(first);
    const [stageId, setStageId] = useState<number>();
    const [begunOn, setBegunOn] = useState('');
    const [head, setHead] = useState<HeadDraft>({
        title, ownerId: null, currency: officeCurrency, agreed: '', terms: '', value: '', chance: '', decidedOn: '', isPrivate: false, readerIds: [],
    });
    const clientRole = (of: Kind) => (of.roles.find(({ isClient, isRetired }) => isClient && !isRetired) ?? of.roles[0])?.id ?? 0;
    const [parties, setParties] = useState<PartyRow[]>(client === undefined ? [] : [newPartyRow(client, clientRole(first), true)]);
    const { run, problems, message } = useSaving();
    const navigate = useNavigate();
    const say = useSay();
    const stages = kind.stages.filter(({ isRetired }) => !isRetired);
    const stage = stages.find(({ id }) => id === stageId) ?? stages.find(({ meaning }) => meaning === 'open') ?? stages[0];
    useTitle(`New ${kind.name}`);

    const leave = () => void navigate(client === undefined ? '/engagements' : `/records/${client.id}#engagements`);
    const save = () => run(async () => {
        const begun = await ask(api.POST('/api/engagements', {
            body: {
                ...head,
                kindId: kind.id,
                stageId: stage?.id ?? 0,
                begunOn,
                parties: partiesInput(parties),
            },
        }));
        keepEngagement(begun);
        say(`${begun.row.number} begun.`);
        await navigate(`/engagements/${begun.row.id}`, { replace: true });
    });

    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Form
                aria-label={`New ${kind.name}`}
                takesFocus
                $stretch
                onLeave={leave}
                onSubmit={(event) => {
                    event.preventDefault();
                    void save();
                }}
            >
                <Title>New {kind.name}</Title>
                <HeadFields draft={head} problems={problems} meaning={stage?.meaning ?? 'open'} onChange={setHead} />
                <FieldRow>
                    {kinds.length > 1 && (
                        <ChooseOne
                            label="Kind"
                            width="day"
                            options={byNumber(kinds)}
                            value={String(kind.id)}
                            onChange={(id) => {
                                const chosen = kinds.find((one) => String(one.id) === id) ?? kind;
                                setKind(chosen);
                                setStageId(undefined);
                                setParties(parties.map((row) => ({ ...row, roleId: clientRole(chosen) })));
                            }}
                            problem={problems.kindId}
                        />
                    )}
                    <ChooseOne
                        label="Stage"
                        width="name"
                        options={byNumber(stages)}
                        value={String(stage?.id ?? '')}
                        onChange={(id) => setStageId(Number(id))}
                        problem={problems.stageId}
                    />
                    <Field
                        label="Begun"
                        width="day"
                        placeholder="today"
                        value={begunOn}
                        onChange={setBegunOn}
                        problem={problems.begunOn}
                    />
                </FieldRow>
                <Stack $gap="small" $wide>
                    <Heading>Parties</Heading>
                    <PartyRows roles={kind.roles} rows={parties} problems={problems} onChange={setParties} takesFocus={false} />
                </Stack>
                {message !== undefined && <Notice tone="stop" title="Not begun">{message} What you typed is still here.</Notice>}
                <Row $gap="small">
                    <MainButton type="submit">Begin the {kind.name}</MainButton>
                    <Button onPress={leave}>Cancel</Button>
                </Row>
            </Form>
        </Sheet>
    );
}
