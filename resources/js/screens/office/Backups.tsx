import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { backupsQuery, keepAnswer } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { momentText } from '../../ui/moment';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Heading, Mark, Notice, Quiet, Row, Small, Stack } from '../../ui/Text';
import { BookItems } from './BooksSection';

type Kept = Schemas['Backups'];

const KINDS: Record<Schemas['Backup']['kind'], string> = { nightly: 'Nightly', manual: 'Manual' };

/** Backups of the whole installation: the last ones, how they are kept, and one now. */
export function Backups() {
    const { data } = useQuery({ ...backupsQuery, refetchInterval: ({ state }) => (state.data?.isRunning === true ? 2_000 : false) });
    const [isOpen, setOpen] = useState(false);
    const { run, message } = useSaving();
    const say = useSay();
    if (data === undefined) {
        return null;
    }
    const make = () => run(async () => {
        keepAnswer(backupsQuery.queryKey, await ask(api.POST('/api/office/backups')));
        say('Backup started. You can leave this page.');
    });
    return (
        <Stack as="section" data-section aria-label="Backups" $stretch>
            <Heading>Backups</Heading>
            {isOpen ? <SettingsForm kept={data} onClose={() => setOpen(false)} /> : (
                <>
                    <p>
                        {data.isNightly ? `Every night after 2:00 AM; the last ${data.kept} are kept` : 'No nightly backups'}, in {data.folderInUse}.
                    </p>
                    {message !== undefined && <Notice tone="stop" title="Backup not started">{message}</Notice>}
                    <Row $gap="small">
                        <Button onPress={() => void make()} isDisabled={data.isRunning}>Back up now</Button>
                        <Button data-edit onPress={() => setOpen(true)}>Edit backup settings</Button>
                        {data.isRunning && <Small role="status">Backup running. You can leave this page.</Small>}
                    </Row>
                </>
            )}
            {data.backups.length === 0
                ? <Quiet>No backups yet. Make the first one with Back up now.</Quiet>
                : <BookItems>{data.backups.map((backup) => <Line key={backup.id} backup={backup} />)}</BookItems>}
            <Small>
                A backup holds the database, the files and the key. Restore one on the server with ./almanac restore.
                This is Neat Almanac {data.programVersion}.
            </Small>
        </Stack>
    );
}

function Line({ backup }: { backup: Schemas['Backup'] }) {
    return (
        <li>
            <span>{momentText(backup.at)}</span>
            <Small>
                {[
                    KINDS[backup.kind],
                    backup.bytes !== null && `${(backup.bytes / 1_000_000).toFixed(1)} MB`,
                    backup.isEncrypted && 'encrypted',
                ].filter(Boolean).join(' · ')}
            </Small>
            {backup.state === 'running' && <Small>running</Small>}
            {backup.state === 'failed' && <><Mark tone="stop">failed</Mark> <Small>{backup.failure}</Small></>}
            {backup.state === 'done' && <Small>{backup.path.split('/').pop()}</Small>}
        </li>
    );
}

function SettingsForm({ kept, onClose }: { kept: Kept; onClose: () => void }) {
    const [draft, setDraft] = useState({ isNightly: kept.isNightly, kept: String(kept.kept), folder: kept.folder });
    const { run, problems, message } = useSaving();
    const say = useSay();
    const save = () => run(async () => {
        const body = { ...draft, kept: /^\d{1,4}$/.test(draft.kept.trim()) ? Number(draft.kept) : 0 };
        keepAnswer(backupsQuery.queryKey, await ask(api.PUT('/api/office/backups', { body })));
        onClose();
        say('Backup settings saved.');
    });
    return (
        <Form aria-label="Backup settings" takesFocus onSubmit={() => void save()} onLeave={onClose}>
            <Tick isSelected={draft.isNightly} onChange={(isNightly) => setDraft({ ...draft, isNightly })}>
                Back up every night after 2:00 AM
            </Tick>
            <FieldRow>
                <Field
                    label="Backups to keep" width="code" inputMode="numeric" value={draft.kept}
                    onChange={(value) => setDraft({ ...draft, kept: value })} problem={problems.kept}
                />
                <Field
                    label="Folder on the server" width="line" placeholder={kept.folder === '' ? kept.folderInUse : ''} value={draft.folder}
                    onChange={(folder) => setDraft({ ...draft, folder })} problem={problems.folder}
                    hint="Choose a folder on another disk, so that one broken disk can’t take both. Empty means the folder beside the database."
                />
            </FieldRow>
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <Row $gap="small">
                <MainButton type="submit">Save backup settings</MainButton>
                <Button onPress={onClose}>Cancel</Button>
            </Row>
        </Form>
    );
}
