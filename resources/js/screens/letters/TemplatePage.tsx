import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { keepAnswer, letterTemplatesQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { RecordPicker } from '../../shared/RecordPicker';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Empty, FieldRow, Half, Notice, Quiet, Row, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { LetterFields } from './LetterFields';
import { LetterPreview, useLetterPreview } from './LetterPreview';

type Template = Schemas['LetterTemplate'];

/** One letter that the office writes again and again. */
export function TemplatePage() {
    const { id } = useParams();
    const { data, error, refetch } = useQuery(letterTemplatesQuery);
    useTitle('Template of a letter');
    if (data === undefined) {
        return <AwaitedSheet what="The template" error={error} retry={() => void refetch()} />;
    }
    const template = data.find((one) => String(one.id) === id);
    if (template === undefined && id !== 'new') {
        return (
            <Sheet id="sheet" tabIndex={-1}>
                <Empty><p>That template is no longer there.</p></Empty>
            </Sheet>
        );
    }
    return <TemplateForm key={id} template={template} />;
}

function TemplateForm({ template }: { template: Template | undefined }) {
    const [draft, setDraft] = useState({ name: template?.name ?? '', subject: template?.subject ?? '', body: template?.body ?? '{greeting}\n\n' });
    // What was read when it was opened: what others save meanwhile does not change what is compared.
    const [version] = useState(template?.version ?? 0);
    const [reader, setReader] = useState<{ id: number; name: string }>();
    const { run, problems, message } = useSaving();
    const navigate = useNavigate();
    const say = useSay();
    const preview = useLetterPreview({
        subject: draft.subject, body: draft.body, way: 'paper', isOnceAHousehold: false, day: '', engagementId: null,
        chosen: { isAll: false, filter: '', withArchived: true, ids: reader === undefined ? [] : [reader.id] },
    });
    const leave = () => void navigate('/letters');
    const save = () => run(async () => {
        const body = { ...draft, version };
        keepAnswer(letterTemplatesQuery.queryKey, await ask(template === undefined
            ? api.POST('/api/letter-templates', { body })
            : api.PUT('/api/letter-templates/{template}', { params: { path: { template: template.id } }, body })));
        await navigate('/letters', { replace: true });
        say(`“${draft.name.trim()}” saved.`);
    });
    const remove = (removed: Template) => run(async () => {
        keepAnswer(letterTemplatesQuery.queryKey, await ask(api.DELETE('/api/letter-templates/{template}', {
            params: { path: { template: removed.id } }, body: { version },
        })));
        await navigate('/letters', { replace: true });
        const { name, subject, body } = removed;
        say(`“${name}” removed. Its letters stay.`, () => void ask(api.POST('/api/letter-templates', { body: { name, subject, body, version: 0 } }))
            .then((all) => keepAnswer(letterTemplatesQuery.queryKey, all)));
    });
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Title>{template === undefined ? 'New template' : template.name}</Title>
                <Form aria-label="Template of a letter" $stretch takesFocus onSubmit={() => void save()} onLeave={leave}>
                    <FieldRow>
                        <Half>
                            <Stack $stretch>
                                <Field label="Name of the template" width="wide" maxLength={80} value={draft.name} onChange={(name) => setDraft({ ...draft, name })} problem={problems.name} />
                                <LetterFields
                                    draft={draft}
                                    onChange={(letter) => setDraft({ ...draft, ...letter })}
                                    problems={{ ...reader === undefined ? {} : preview.problems, ...problems }}
                                    hasEngagement
                                />
                            </Stack>
                        </Half>
                        <Half>
                            <Stack $gap="small" $stretch>
                                <RecordPicker label="Read it as somebody gets it" takesFocus={false} onPick={({ id, displayName }) => setReader({ id, name: displayName })} />
                                <LetterPreview
                                    letter={preview.letter}
                                    isEmail={false}
                                    message={preview.message}
                                    nothing={reader === undefined ? 'Choose somebody above, and here it is read as they get it.' : `Nothing to read for ${reader.name} yet.`}
                                />
                            </Stack>
                        </Half>
                    </FieldRow>
                    {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
                    <Row $gap="small">
                        <MainButton type="submit">Save template</MainButton>
                        <Button onPress={leave}>Cancel</Button>
                        {template !== undefined && <QuietButton onPress={() => void remove(template)}>Remove this template</QuietButton>}
                        <Quiet aria-hidden>Ctrl+Enter saves</Quiet>
                    </Row>
                </Form>
            </Stack>
        </Sheet>
    );
}
