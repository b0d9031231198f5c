import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { documentDefaultsQuery, forgetLedger, queryClient, recordQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { Unread } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { Button, MainButton } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Notice, Quiet, Row, Stack, Title } from '../../ui/Text';
import { blankLine, bodyOf, DocumentFields } from './DocumentForm';
import type { Draft } from './draft';
import { UseNotes } from './DocumentTotals';

/** A new document for a record, begun from what is set for them. */
export function WriteDocument() {
    const { id, kind = 'invoice' } = useParams();
    const [search] = useSearchParams();
    const partyId = Number(id);
    const { data: record, error, refetch } = useQuery(recordQuery(partyId));
    const { data: defaults, error: unset, refetch: again } = useQuery({
        ...documentDefaultsQuery(partyId, kind, Number(search.get('engagement')) || null), gcTime: 0,
    });
    const name = defaults?.kindTitle.toLowerCase() ?? 'document';
    useTitle(`New ${name}`);
    const failure = error ?? unset;

    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={record === undefined || defaults === undefined}>
            {failure !== null && <Unread what="The record" error={failure} retry={() => void Promise.all([refetch(), again()])} />}
            {record !== undefined && defaults !== undefined && (
                <Stack $gap="large" $stretch>
                    <Row>
                        <Title>New {name}</Title>
                        <span>
                            {defaults.side === 'client' ? 'for' : kind === 'purchase-order' ? 'to' : 'from'}{' '}
                            <Link to={`/records/${partyId}`}>{record.party.displayName}</Link>
                        </span>
                    </Row>
                    <UseNotes use={defaults.use} />
                    <NewForm partyId={partyId} defaults={defaults} />
                </Stack>
            )}
        </Sheet>
    );
}

function NewForm({ partyId, defaults }: { partyId: number; defaults: Schemas['DocumentDefaults'] }) {
    const [search] = useSearchParams();
    // No opening balance is written so.
    const kind = defaults.kind as Draft['kind'];
    const blank = () => blankLine(defaults);
    const [draft, setDraft] = useState<Draft>(() => ({
        kind,
        date: '',
        due: '',
        terms: kind === 'credit-note' || kind === 'credit-received' ? '' : defaults.terms,
        treatment: defaults.treatment,
        currency: defaults.currency,
        number: '',
        reference: defaults.reference,
        note: '',
        engagementId: Number(search.get('engagement')) || null,
        lines: [blank()],
    }));
    const isTheirs = kind === 'bill' || kind === 'credit-received';
    const act = isTheirs ? 'enter' : 'issue';
    const { run, problems, message } = useSaving();
    const [isBusy, setBusy] = useState(false);
    const navigate = useNavigate();
    const say = useSay();

    // Terms that nobody has typed over go with the case or the project that it is for.
    const usual = useRef(draft.terms);
    const change = (next: Draft) => {
        setDraft(next);
        const { engagementId = null } = next;
        const before = usual.current;
        if (engagementId !== (draft.engagementId ?? null) && before !== '') {
            queryClient.fetchQuery(documentDefaultsQuery(partyId, kind, engagementId)).then(({ terms }) => {
                usual.current = terms;
                setDraft((now) => (now.terms === before ? { ...now, terms } : now));
            }, () => say('The terms of that case could not be read; look at them before you save.'));
        }
    };

    const leave = () => void navigate(`/records/${partyId}#documents`);

    const save = async (issues: boolean) => {
        if (isBusy) {
            return;
        }
        setBusy(true);
        await run(async () => {
            // A line that was offered and not filled in is not sent.
            const lines = draft.lines.filter(({ text, price }, at) => at === 0 || text.trim() !== '' || price.trim() !== '');
            setDraft({ ...draft, lines });
            const body = { ...bodyOf({ ...draft, lines }), issues };
            // What stands against issuing it is asked on its page; it is kept as a draft.
            const { row, against } = await ask(api.POST('/api/parties/{id}/documents', { params: { path: { id: partyId } }, body }));
            forgetLedger();
            say(issues && against == null ? (isTheirs ? 'Entered.' : 'Issued.') : 'Saved as a draft.');
            await navigate(`/documents/${row.id}`, { state: against == null ? null : { against } });
        });
        setBusy(false);
    };

    return (
        <Form
            onSave={() => save(true)}
            $stretch
            onSubmit={(event) => event.preventDefault()}
            onLeave={leave}
            aria-label="New document"
        >
            <DocumentFields
                draft={draft}
                onChange={change}
                problems={problems}
                partyId={partyId}
                blank={blank}
                usualAccounts={defaults.accountIds}
                isTheirs={isTheirs}
            />
            {message !== undefined && (
                <Notice tone="stop" title="Not saved">
                    {message}
                </Notice>
            )}
            <Row $gap="small">
                <MainButton isDisabled={isBusy} onPress={() => void save(true)}>
                    Save and {act} this {defaults.kindTitle.toLowerCase()}
                </MainButton>
                <Button isDisabled={isBusy} onPress={() => void save(false)}>Save as a draft</Button>
                <Button onPress={leave}>Cancel</Button>
                <Quiet>Ctrl+Enter saves and {act}s</Quiet>
            </Row>
        </Form>
    );
}
