import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { engagementQuery, forget, letterRunQuery, letterTemplatesQuery, lettersToQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { count } from '../../shared/count';
import { LeftOut } from '../../shared/LeftOut';
import { useTitles } from '../../shared/titles';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne, Tick } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Foot, Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Empty, FieldRow, Half, Mark, Notice, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { useTitle } from '../../ui/useTitle';
import { LetterFields, type LetterDraft } from './LetterFields';
import { LetterPreview, useLetterPreview } from './LetterPreview';

type Chosen = Schemas['ChosenInput'];
type Way = Schemas['LetterInput']['way'];

const OWN = 'none';

/** A letter to those that were chosen in the directory, to one record, or to the parties of a case or project. */
export function WriteLetter() {
    useTitle('Write a letter');
    const [search] = useSearchParams();
    const engagement = Number(search.get('engagement')) || null;
    const ids = (search.get('ids') ?? '').split(',').map(Number).filter((id) => Number.isInteger(id) && id > 0);
    const isList = search.has('filter');
    if (ids.length === 0 && !isList) {
        return (
            <Sheet id="sheet" tabIndex={-1}>
                <Stack $gap="large">
                    <Title>Write a letter</Title>
                    <Empty>
                        <p>
                            Choose first whom it is to: narrow the <Link to="/directory">Directory</Link> or choose records in it, then
                            {' '}<strong>Print</strong> and <strong>Letters</strong>.
                        </p>
                    </Empty>
                </Stack>
            </Sheet>
        );
    }
    const chosen = { isAll: ids.length === 0, filter: search.get('filter') ?? '', withArchived: search.get('archived') === '1', ids };
    return <Write key={search.toString()} chosen={chosen} engagementId={engagement} />;
}

function Write({ chosen, engagementId }: { chosen: Chosen; engagementId: number | null }) {
    const { data: templates = [] } = useQuery(letterTemplatesQuery);
    const { data: engagement } = useQuery({ ...engagementQuery(engagementId ?? 0), enabled: engagementId !== null });
    const ways = useTitles('letterWays');
    const [template, setTemplate] = useState(OWN);
    const [draft, setDraft] = useState<LetterDraft>({ subject: '', body: '' });
    const [way, setWay] = useState<Way>('paper');
    const [isOnce, setOnce] = useState(false);
    const [day, setDay] = useState('');
    const [at, setAt] = useState(0);
    const [isAsking, setAsking] = useState(false);
    const { run, problems, message } = useSaving();
    const navigate = useNavigate();
    const say = useSay();
    const { data: to, error } = useQuery(lettersToQuery({ chosen, way, isOnceAHousehold: isOnce }));
    const shown = Math.min(at, Math.max(0, (to?.envelopes.length ?? 0) - 1));
    const rest = { ...draft, way, isOnceAHousehold: isOnce, day, engagementId };
    const preview = useLetterPreview({ ...rest, chosen: { isAll: false, filter: '', withArchived: true, ids: to?.envelopes[shown]?.ids ?? [] } });
    const isEmail = way === 'email';
    const letters = count(to?.letters ?? 0, 'letter');
    const back = engagementId === null ? `/directory` : `/engagements/${engagementId}`;

    const choose = (id: string) => {
        const before = { template, draft };
        const found = templates.find((one) => String(one.id) === id);
        const own = templates.find((one) => String(one.id) === template);
        const isOwn = draft.body.trim() !== '' && (own?.body !== draft.body || own.subject !== draft.subject);
        setTemplate(id);
        if (found !== undefined) {
            setDraft({ subject: found.subject, body: found.body });
            if (isOwn) {
                say(`“${found.name}” stands in the place of what was typed.`, () => {
                    setTemplate(before.template);
                    setDraft(before.draft);
                });
            }
        }
    };
    const begin = () => run(async () => {
        const begun = await ask(api.POST('/api/letters', { body: { ...rest, chosen } }));
        void forget(letterRunQuery(begun.run.id).queryKey, ['outbox']);
        await navigate(`/letters/${begun.run.id}`, { replace: true });
        say(`${letters}: under way.`);
    });
    const ready = to !== undefined && error === null && to.letters > 0;
    const save = () => {
        if (ready && isEmail) {
            setAsking(true);
        } else if (ready) {
            void begin();
        }
    };

    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Row>
                    <Title>Write a letter</Title>
                    {engagement !== undefined && <Quiet>about {engagement.row.number} {engagement.row.title}</Quiet>}
                    <Link to="/letters">Templates, and letters so far</Link>
                </Row>
                <Form aria-label="Write a letter" $stretch onSubmit={save} onLeave={() => void navigate(back)}>
                    <FieldRow>
                        <ChooseOne
                            label="Template" width="line" value={template} onChange={choose}
                            options={[{ id: OWN, name: 'none' }, ...templates.map(({ id, name }) => ({ id: String(id), name }))]}
                        />
                        <ChooseOne label="How" width="line" options={ways} value={way} onChange={setWay} problem={problems.way} />
                        {!isEmail && (
                            <Field
                                label="Day of the letter" width="day" placeholder="today" value={day} onChange={setDay}
                                problem={problems.day ?? preview.problems.day}
                            />
                        )}
                    </FieldRow>
                    <Tick isSelected={isOnce} onChange={setOnce}>One for all who live at one address</Tick>
                    <FieldRow>
                        <Half>
                            <Stack $stretch>
                                <LetterFields
                                    draft={draft}
                                    onChange={setDraft}
                                    problems={{ ...preview.problems, ...problems }}
                                    hasEngagement={engagementId !== null}
                                />
                            </Stack>
                        </Half>
                        <Half>
                            <Stack $gap="small" $stretch>
                                <Row $gap="small">
                                    {to !== undefined && to.envelopes.length > 1 && (
                                        <>
                                            <QuietButton aria-label="The letter before" isDisabled={shown === 0} onPress={() => setAt(shown - 1)}>Before</QuietButton>
                                            <Quiet aria-live="polite">{shown + 1}: {to.envelopes[shown]?.names}</Quiet>
                                            <QuietButton
                                                aria-label="The next letter" isDisabled={shown + 1 >= to.envelopes.length}
                                                onPress={() => setAt(shown + 1)}
                                            >
                                                Next
                                            </QuietButton>
                                        </>
                                    )}
                                </Row>
                                {error !== null && <Mark tone="stop">{error.message}</Mark>}
                                <LetterPreview
                                    letter={preview.letter}
                                    isEmail={isEmail}
                                    message={preview.message}
                                    nothing={to?.letters === 0 ? 'Nobody of them can be written to this way.' : 'Choose a template, or write the letter: here it is read as they get it.'}
                                />
                            </Stack>
                        </Half>
                    </FieldRow>
                    {to !== undefined && to.leftOut.length > 0 && <LeftOut label="Who is left out" people={to.leftOut} all={to.leftOutCount} />}
                    {message !== undefined && <Notice tone="stop" title="Not written">{message}</Notice>}
                    <Foot aria-label="What would be written">
                        <strong role="status">{error === null ? letters : ''}</strong>
                        {to !== undefined && to.leftOutCount > 0 && <Mark tone="look">{`${count(to.leftOutCount, 'record')} left out`}</Mark>}
                        {ready
                            ? <MainButton type="submit">{isEmail ? `Send ${letters}` : `Write ${letters}`}</MainButton>
                            : <Quiet>Nothing to write.</Quiet>}
                        <Button onPress={() => void navigate(back)}>Cancel</Button>
                        <Small aria-hidden>Ctrl+Enter writes</Small>
                    </Foot>
                </Form>
            </Stack>
            {isAsking && (
                <Dialog title={`Send ${letters} by email?`} onClose={() => setAsking(false)}>
                    <p>What is sent cannot be called back. Each stands in the outbox and in the log of its record.</p>
                    <DialogButtons>
                        <MainButton autoFocus onPress={() => { setAsking(false); void begin(); }}>{`Send ${letters}`}</MainButton>
                        <Button onPress={() => setAsking(false)}>Not yet</Button>
                    </DialogButtons>
                </Dialog>
            )}
        </Sheet>
    );
}
