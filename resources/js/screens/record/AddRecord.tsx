import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import { Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import { api, ask, Refused } from '../../api/client';
import { keepRecord, type PartyKind, recordQuery } from '../../api/queries';
import { useEnsureSignedIn } from '../../api/signIn';
import { useLookAlikes } from '../../api/useLookAlikes';
import { AlikeNotice } from '../../ui/AlikeNotice';
import { Button, MainButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { whileSaving } from '../../ui/unsaved';
import { Notice, Quiet, Row, Stack, Title } from '../../ui/Text';
import { EmployerFields, PeopleFields, type Employer, type NewPerson } from './AddOnTheWay';
import { NameFields } from './NameFields';
import type { IdentityDraft } from './sections/identity';

const BLANK: IdentityDraft = {
    prefix: '', given: '', middle: '', family: '', suffix: '', preferred: '', pronouns: '', postNominals: '',
    name: '', legal: '', isClient: false, isVendor: false, isInformal: false, isDeceased: false, deceasedOn: '',
    birthDate: null, payee: '', legalForm: '', registrationNumber: '', industry: '',
};

/** What adding begins with, and what the program is not sure of. */
interface Start {
    draft: IdentityDraft;
    doubtful: string[];
    suggestedPronouns: string;
}

function sure(draft: IdentityDraft): Start {
    return { draft, doubtful: [], suggestedPronouns: '' };
}

/** What was typed into the search line, taken apart for the fields of the new record. */
function useTypedName(kind: PartyKind, typed: string): Start | undefined {
    const { data, isError } = useQuery({
        queryKey: ['names', typed],
        queryFn: () => ask(api.GET('/api/names', { params: { query: { typed } } })),
        enabled: kind === 'person' && typed !== '',
        staleTime: Infinity,
        retry: false,
    });
    if (kind === 'company') {
        return sure({ ...BLANK, name: typed });
    }
    if (typed === '') {
        return sure(BLANK);
    }
    if (data === undefined) {
        return isError ? sure({ ...BLANK, given: typed }) : undefined;
    }
    const { doubtful, suggestedPronouns, ...parts } = data;
    return { draft: { ...BLANK, ...parts }, doubtful, suggestedPronouns };
}

export function AddRecord() {
    const { kind } = useParams();
    const [search] = useSearchParams();
    const typed = search.get('name') ?? '';
    const isKind = kind === 'person' || kind === 'company';
    const start = useTypedName(isKind ? kind : 'company', typed);

    if (!isKind) {
        return <Navigate to="/" replace />;
    }
    return start === undefined
        ? <Sheet id="sheet" tabIndex={-1} aria-busy />
        : <AddForm key={kind + typed} kind={kind} start={start} companyId={Number(search.get('company')) || undefined} />;
}

function AddForm({ kind, start, companyId }: { kind: PartyKind; start: Start; companyId: number | undefined }) {
    const [draft, setDraft] = useState(start.draft);
    const [title, setTitle] = useState('');
    const [employer, setEmployer] = useState<Employer>();
    const [people, setPeople] = useState<NewPerson[]>([]);
    const [failure, setFailure] = useState<Error>();
    const [isBusy, setBusy] = useState(false);
    const alikes = useLookAlikes({
        kind, given: draft.given, family: draft.family, name: draft.name, phones: [], emails: [], taxNumbers: [], exceptId: null,
    });
    const { data: company } = useQuery({ ...recordQuery(companyId ?? 0), enabled: companyId !== undefined });
    const form = useRef<HTMLFormElement>(null);
    const navigate = useNavigate();
    const ensureSignedIn = useEnsureSignedIn();
    const say = useSay();

    useEffect(() => {
        document.title = `Add a ${kind} – Neat Almanac`;
        const first = form.current?.querySelector('input');
        first?.focus();
        first?.setSelectionRange(first.value.length, first.value.length);
    }, [kind]);

    useEffect(() => {
        form.current?.querySelector<HTMLElement>('[aria-invalid=true]')?.focus();
    }, [failure]);

    const add = async (): Promise<void> => {
        try {
            const record = await ask(api.POST('/api/parties', { body: {
                kind, ...draft, title,
                companyId: companyId ?? employer?.id ?? null,
                companyName: employer?.id === undefined ? employer?.name ?? '' : '',
                people: people.filter(({ name }) => name.trim() !== '').map(({ name, title: held }) => ({ name, title: held })),
            } }));
            keepRecord(record);
            say(`${record.party.displayName} added.`);
            await navigate(`/records/${record.party.id}`, { replace: true, state: { edit: 'reach' } });
        } catch (error) {
            if (error instanceof Refused && error.isSignedOut && await ensureSignedIn()) {
                return add();
            }
            setFailure(error as Error);
        }
    };
    const save = async () => {
        if (!isBusy) {
            setBusy(true);
            setFailure(undefined);
            await whileSaving(add);
            setBusy(false);
        }
    };
    const leave = () => void navigate(companyId === undefined ? '/' : `/records/${companyId}`);
    const problems = failure instanceof Refused ? failure.fields : {};

    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large">
                <Stack $gap="tight">
                    <Title>Add a {kind}</Title>
                    <Quiet>
                        {company !== undefined
                            ? `At ${company.party.displayName}, with its address by link. Phones and emails come next.`
                            : 'The name first. Phones, emails and addresses come next, on the same page.'}
                    </Quiet>
                </Stack>
                <Form
                    ref={form}
                    noValidate
                    onSubmit={(event: FormEvent) => {
                        event.preventDefault();
                        void save();
                    }}
                    onLeave={leave}
                >
                    <NameFields
                        kind={kind}
                        draft={draft}
                        problems={problems}
                        onChange={setDraft}
                        doubtful={start.doubtful}
                        suggestedPronouns={start.suggestedPronouns}
                    />
                    <AlikeNotice alikes={alikes} />
                    {companyId !== undefined && (
                        <Field
                            label={`Title at ${company?.party.displayName ?? 'the company'}`}
                            width="line"
                            placeholder="Site manager"
                            value={title}
                            onChange={setTitle}
                            problem={problems.title ?? problems.companyId}
                        />
                    )}
                    {kind === 'person' && companyId === undefined && (
                        <EmployerFields
                            employer={employer}
                            onEmployer={setEmployer}
                            title={title}
                            onTitle={setTitle}
                            problem={problems.companyId ?? problems.companyName}
                            titleProblem={problems.title}
                        />
                    )}
                    {kind === 'company' && <PeopleFields people={people} onChange={setPeople} problems={problems} />}
                    {failure !== undefined && Object.keys(problems).length === 0 && (
                        <Notice tone="stop" title="Not added yet">
                            <span>{failure.message} What you typed is still here.</span>
                            <Button onPress={() => void save()}>Retry</Button>
                        </Notice>
                    )}
                    <Row $gap="small">
                        <MainButton type="submit" isDisabled={isBusy}>Add this {kind}</MainButton>
                        <Button onPress={leave}>Cancel</Button>
                        <Quiet aria-hidden>Ctrl+Enter adds</Quiet>
                    </Row>
                </Form>
            </Stack>
        </Sheet>
    );
}
