import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { documentDefaultsQuery, engagementQuery, forgetLedger } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { payersOf } from '../../shared/engagementParties';
import { Button, MainButton } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Notice, Quiet, Row, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { blankLine, bodyOf, DocumentFields } from './DocumentForm';
import type { Draft } from './draft';

type Engagement = Schemas['Engagement'];

/** An invoice that several pay: typed once as a whole, and kept as a draft for each of them. */
export function WriteShared() {
    const id = Number(useParams().id);
    const { data: engagement, error, refetch } = useQuery(engagementQuery(id));
    const payers = engagement === undefined ? [] : payersOf(engagement);
    const first = payers[0]?.party.id;
    const { data: defaults, error: unset } = useQuery({
        ...documentDefaultsQuery(first ?? 0, 'invoice', engagement?.row.id ?? null), enabled: first !== undefined, gcTime: 0,
    });
    useTitle('New invoice in shares');

    if (engagement === undefined || (first !== undefined && defaults === undefined)) {
        return <AwaitedSheet what="The form" error={error ?? unset} retry={() => void refetch()} />;
    }
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Row>
                    <Title>New invoice in shares</Title>
                    <span>for <Link to={`/engagements/${id}`}>{engagement.row.number} {engagement.row.title}</Link></span>
                </Row>
                {first === undefined || defaults === undefined ? (
                    <Quiet>
                        Nobody is named as paying. <Link to={`/engagements/${id}#parties`}>Say under Parties</Link> who pays, and how much of it.
                    </Quiet>
                ) : (
                    <SharedForm engagement={engagement} payers={payers} partyId={first} defaults={defaults} />
                )}
            </Stack>
        </Sheet>
    );
}

interface Props {
    engagement: Engagement;
    payers: Engagement['parties'];
    partyId: number;
    defaults: Schemas['DocumentDefaults'];
}

function SharedForm({ engagement, payers, partyId, defaults }: Props) {
    const blank = () => blankLine(defaults);
    const [draft, setDraft] = useState<Draft>(() => ({
        kind: 'invoice',
        date: '',
        due: '',
        terms: defaults.terms,
        treatment: defaults.treatment,
        currency: engagement.head.currency,
        number: '',
        reference: '',
        note: '',
        engagementId: engagement.row.id,
        lines: [blank()],
    }));
    const { run, problems, message } = useSaving();
    const navigate = useNavigate();
    const say = useSay();
    const path = { engagement: engagement.row.id };
    const leave = () => void navigate(`/engagements/${engagement.row.id}#documents`);
    const save = () => run(async () => {
        const lines = draft.lines.filter(({ text, price }, at) => at === 0 || text.trim() !== '' || price.trim() !== '');
        setDraft({ ...draft, lines });
        const written = await ask(api.POST('/api/engagements/{engagement}/shared-invoice', {
            params: { path }, body: bodyOf({ ...draft, lines }),
        }));
        forgetLedger();
        say(`${written.length} drafts written, one for each who pays.`);
        await navigate(`/engagements/${engagement.row.id}#documents`);
    });

    return (
        <Form
            aria-label="New invoice in shares"
            $stretch
            onSave={save}
            onSubmit={(event) => event.preventDefault()}
            onLeave={leave}
        >
            <p>
                Type it as a whole. Each of them gets a draft with their part of every line, due as their own terms have it:{' '}
                {payers.map(({ party, share }) => `${party.displayName} ${share}%`).join(', ')}.
            </p>
            <DocumentFields
                draft={draft}
                onChange={setDraft}
                problems={problems}
                partyId={partyId}
                blank={blank}
                usualAccounts={defaults.accountIds}
                isTheirs={false}
            />
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <Row $gap="small">
                <MainButton onPress={() => void save()}>Write {payers.length} drafts</MainButton>
                <Button onPress={leave}>Cancel</Button>
                <Quiet>Ctrl+Enter writes them</Quiet>
            </Row>
        </Form>
    );
}
