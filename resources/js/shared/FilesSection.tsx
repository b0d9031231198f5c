import { keepSubject } from '../api/queries';
import { FileText, Image } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { api, ask, Refused, type Schemas } from '../api/client';
import { useSession } from '../api/session';
import { useEnsureSignedIn } from '../api/signIn';
import { useSaving } from '../api/useSaving';
import { upload } from '../api/upload';
import { useTitles } from './titles';
import { Button, MainButton, QuietButton } from '../ui/Button';
import { ChooseOne, Tick } from '../ui/Choose';
import { Dialog, DialogButtons } from '../ui/Dialog';
import { DropPlace, Progress } from '../ui/DropPlace';
import { Field } from '../ui/Field';
import { Form } from '../ui/Form';
import { useSay } from '../ui/StatusLine';
import { FieldRow, Mark, Notice, Quiet, Row, Small, Stack } from '../ui/Text';
import { line, size, space } from '../ui/tokens';
import { PlainSection } from './section/SectionFrame';
import { newKey } from './section/spec';
import { useSubjectAction } from './useSubjectAction';

type FileData = Schemas['File'];
type Kind = FileData['kind'];


const Line = styled.div`
    display: grid;
    grid-template-columns: ${size.icon} minmax(0, 1fr);
    gap: 0 ${space.small};
    width: 100%;
    > svg { margin-top: ${space.tight}; color: var(--quiet); }
`;

const Picture = styled.img`max-width: 100%; max-height: 62vh; object-fit: contain;`;
const Pages = styled.iframe`width: 100%; height: 62vh; border: ${line.rule};`;

interface Sending {
    key: string;
    name: string;
    part: number;
    problem?: string;
}

interface Props {
    /** Of a record, a case or a project. */
    of: `parties/${number}` | `engagements/${number}`;
    files: FileData[];
    mayEdit: boolean;
}

/** Files on a page: dragged in, named, shown, saved. */
export function FilesSection({ of, files: kept, mayEdit }: Props) {
    const { sending, send, dismiss } = useSending(of);

    return (
        <PlainSection id="files" title="Files">
            <Stack $gap="small">
                {kept.length === 0 && <Quiet>No files yet.</Quiet>}
                {kept.map((file) => <FileLine key={file.id} mayEdit={mayEdit} file={file} />)}
                {sending.map(({ key, name, part, problem }) => (
                    <Row key={key} $gap="small">
                        <span>{name}</span>
                        {problem === undefined
                            ? <><Progress aria-label={`Sending ${name}`} max={1} value={part} /><Small>{Math.round(part * 100)}%</Small></>
                            : <><Mark tone="stop">{problem}</Mark><QuietButton onPress={() => dismiss(key)}>Dismiss</QuietButton></>}
                    </Row>
                ))}
                {mayEdit && (
                    <DropPlace label="Choose files" onFiles={(files) => void send(files)}>
                        <span>or drag them here: pictures, PDF, text, tables, letters, emails, up to 25 MB each</span>
                    </DropPlace>
                )}
            </Stack>
        </PlainSection>
    );
}

/** Sends files one after the other; one that is refused holds up none of the others. */
function useSending(of: Props['of']) {
    const [sending, setSending] = useState<Sending[]>([]);
    const ensureSignedIn = useEnsureSignedIn();
    const say = useSay();
    const change = (key: string, part: Partial<Sending>) =>
        setSending((all) => all.map((one) => (one.key === key ? { ...one, ...part } : one)));
    const dismiss = (key: string) => setSending((all) => all.filter((one) => one.key !== key));

    const sendOne = async (key: string, file: File): Promise<boolean> => {
        try {
            const kind = file.type.startsWith('image/') ? 'photo' : 'other';
            keepSubject(await upload(of, file, kind, (part) => change(key, { part })));
            dismiss(key);
            return true;
        } catch (error) {
            if (error instanceof Refused && error.isSignedOut && await ensureSignedIn()) {
                return sendOne(key, file);
            }
            change(key, { problem: error instanceof Refused ? error.fields.file ?? error.message : (error as Error).message });
            return false;
        }
    };
    const send = async (files: File[]) => {
        const queue = files.map((file) => ({ key: newKey(), file }));
        setSending((all) => [...all, ...queue.map(({ key, file }) => ({ key, name: file.name, part: 0 }))]);
        let kept = 0;
        for (const { key, file } of queue) {
            kept += await sendOne(key, file) ? 1 : 0;
        }
        if (kept > 0) {
            say(kept === 1 ? '1 file kept.' : `${kept} files kept.`);
        }
    };
    return { sending, send, dismiss };
}

function FileLine({ mayEdit, file }: { mayEdit: boolean; file: FileData }) {
    const [open, setOpen] = useState<'show' | 'change'>();
    const { maySeePrivate } = useSession();
    const maySee = !file.isPrivate || maySeePrivate;
    const Sign = file.isPicture ? Image : FileText;
    const notes = [file.kind, file.sizeText, file.addedText, file.isPrivate && 'private'];
    return (
        <Line>
            <Sign size={15} aria-hidden />
            <Stack $gap="hair">
                <Row $gap="small">
                    {maySee ? (
                        <a href={`/api/files/${file.id}`} download>
                            {file.name}
                        </a>
                    ) : (
                        <span>{file.name}</span>
                    )}
                    {file.expiresOn !== '' &&
                        (file.isExpired ? <Mark tone="look">expired on {file.expiresOn}</Mark> : <Small>until {file.expiresOn}</Small>)}
                    {file.canBeShown && maySee && (
                        <QuietButton aria-label={`Show ${file.name}`} onPress={() => setOpen('show')}>
                            Show
                        </QuietButton>
                    )}
                    {mayEdit && (
                        <QuietButton aria-label={`Change ${file.name}`} onPress={() => setOpen('change')}>
                            Change
                        </QuietButton>
                    )}
                </Row>
                <Small>{notes.filter(Boolean).join(' · ')}</Small>
            </Stack>
            {open === 'show' && (
                <Dialog title={file.name} onClose={() => setOpen(undefined)} isWide>
                    {file.isPicture
                        ? <Picture src={`/api/files/${file.id}?show=1`} alt={file.name} />
                        : <Pages src={`/api/files/${file.id}?show=1`} title={file.name} />}
                    <DialogButtons><MainButton onPress={() => setOpen(undefined)}>Close</MainButton></DialogButtons>
                </Dialog>
            )}
            {open === 'change' && <FileDialog file={file} onClose={() => setOpen(undefined)} />}
        </Line>
    );
}

function FileDialog({ file, onClose }: { file: FileData; onClose: () => void }) {
    const kinds = useTitles('fileKinds');
    const [draft, setDraft] = useState<Schemas['FileInput']>({
        name: file.name,
        kind: file.kind,
        expiresOn: file.expiresOn,
        isPrivate: file.isPrivate,
    });
    const { run, problems, message } = useSaving();
    const say = useSay();
    const path = { params: { path: { file: file.id } } };
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });

    const act = useSubjectAction();
    const save = (done: string, call: () => Promise<Schemas['Record'] | Schemas['Engagement']>) => run(async () => {
        await act(call);
        say(done);
        onClose();
    });

    return (
        <Dialog title={`The file ${file.name}`} onClose={onClose}>
            <Form
                onSubmit={(event) => {
                    event.preventDefault();
                    void save('File saved.', () => ask(api.PUT('/api/files/{file}', { ...path, body: draft })));
                }}
            >
                <Field label="Name" autoFocus value={draft.name} onChange={(name) => set({ name })} problem={problems.name} />
                <FieldRow>
                    <ChooseOne
                        label="What it is"
                        width="day"
                        options={kinds}
                        value={draft.kind}
                        onChange={(kind) => set({ kind: kind as Kind })}
                    />
                    <Field
                        label="Expires on"
                        width="day"
                        placeholder="31 Dec 2027"
                        value={draft.expiresOn}
                        onChange={(expiresOn) => set({ expiresOn })}
                        problem={problems.expiresOn}
                        hint="You are reminded 30 days before."
                    />
                </FieldRow>
                <Tick isSelected={draft.isPrivate} onChange={(isPrivate) => set({ isPrivate })}>
                    private: only for those who may see private values
                </Tick>
                {message !== undefined && (
                    <Notice tone="stop" title="Not saved">
                        {message}
                    </Notice>
                )}
                <DialogButtons>
                    <MainButton type="submit">Save it</MainButton>
                    <Button onPress={() => void save('File removed.', () => ask(api.DELETE('/api/files/{file}', path)))}>
                        Remove the file
                    </Button>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}
