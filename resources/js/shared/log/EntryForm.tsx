import { useState, type FormEvent } from 'react';
import type { Schemas } from '../../api/client';
import { useSaving } from '../../api/useSaving';
import { useTitles } from '../titles';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne, Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Notice, Quiet, Row } from '../../ui/Text';
import { RecordPicker } from '../RecordPicker';
import type { LogOf } from './log';

type Kind = Schemas['LogEntryInput']['kind'];

/** Writes a note, a call, an email, a meeting or a letter into the log. */
export function EntryForm({ log, onClose }: { log: LogOf; onClose: () => void }) {
    const kinds = useTitles('entryKinds');
    const [kind, setKind] = useState<Kind>('note');
    const [day, setDay] = useState('');
    const [text, setText] = useState('');
    const [isPinned, setPinned] = useState(false);
    const [withParty, setWithParty] = useState<{ id: number; displayName: string }>();
    const { run, problems, message } = useSaving();
    const say = useSay();

    const save = async () => {
        await run(async () => {
            await log.write({ kind, day, text, isPinned, withPartyId: withParty?.id ?? null });
            say('Added to the log.');
            onClose();
        });
    };

    return (
        <Form
            aria-label="Add to the log"
            $wide
            onSubmit={(event: FormEvent) => {
                event.preventDefault();
                void save();
            }}
            onLeave={onClose}
        >
            <Field label="What happened" lines={3} autoFocus value={text} onChange={setText} problem={problems.text} />
            <FieldRow>
                <ChooseOne label="Kind" width="code" options={kinds} value={kind} onChange={setKind} />
                <Field label="On" width="day" placeholder="today" value={day} onChange={setDay} problem={problems.day} />
            </FieldRow>
            {withParty === undefined ? (
                <RecordPicker label="With whom, if with somebody else" onPick={setWithParty} takesFocus={false} />
            ) : (
                <Row $gap="small">
                    With {withParty.displayName} <QuietButton onPress={() => setWithParty(undefined)}>Somebody else</QuietButton>
                </Row>
            )}
            <Tick isSelected={isPinned} onChange={setPinned}>
                pin it to the head of the page
            </Tick>
            {message !== undefined && (
                <Notice tone="stop" title="Not added yet">{message} What you typed is still here.</Notice>
            )}
            <Row $gap="small">
                <MainButton type="submit">Add to the log</MainButton>
                <Button onPress={onClose}>Cancel</Button>
                <Quiet aria-hidden>Ctrl+Enter adds it</Quiet>
            </Row>
        </Form>
    );
}
