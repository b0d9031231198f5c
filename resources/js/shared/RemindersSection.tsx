import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import type { Schemas } from '../api/client';
import { choicesQuery } from '../api/queries';
import { useSession } from '../api/session';
import { useSaving } from '../api/useSaving';
import { ReminderLine } from './ReminderLine';
import { Button, MainButton, QuietButton } from '../ui/Button';
import { ChooseOne } from '../ui/Choose';
import { Field } from '../ui/Field';
import { Form } from '../ui/Form';
import { useSay } from '../ui/StatusLine';
import { Suggest } from '../ui/Suggest';
import { FieldRow, Notice, Row, Stack } from '../ui/Text';
import { PlainSection } from './section/SectionFrame';

const REPEATS = ['every day', 'every weekday', 'every week', 'every 2 weeks', 'every month', 'every quarter', 'every year'].map((name) => ({
    id: name,
    name,
}));

interface Props {
    reminders: Schemas['Reminder'][];
    mayEdit: boolean;
    /** Sets one, and keeps what that answers. */
    add: (reminder: Schemas['ReminderInput']) => Promise<void>;
}

/** What to do about it. */
export function RemindersSection({ reminders, mayEdit, add }: Props) {
    const [isAdding, setAdding] = useState(false);

    return (
        <PlainSection
            id="reminders"
            title="Reminders"
            isInternal
            folded={reminders.length === 0 && !isAdding ? 'No reminders.' : undefined}
            tools={mayEdit && !isAdding && <QuietButton data-edit onPress={() => setAdding(true)}>Set a reminder</QuietButton>}
        >
            <Stack $gap="small">
                {isAdding && <ReminderForm add={add} onClose={() => setAdding(false)} />}
                {reminders.map((reminder) => <ReminderLine key={reminder.id} reminder={reminder} />)}
            </Stack>
        </PlainSection>
    );
}

function ReminderForm({ add, onClose }: Pick<Props, 'add'> & { onClose: () => void }) {
    const { userId } = useSession();
    const { data: choices } = useQuery(choicesQuery);
    const [draft, setDraft] = useState<Schemas['ReminderInput']>({ text: '', day: '', time: '', rule: '', userId: userId ?? 0 });
    const { run, problems, message } = useSaving();
    const say = useSay();
    const set = (part: Partial<Schemas['ReminderInput']>) => setDraft({ ...draft, ...part });

    const save = async () => {
        await run(async () => {
            await add(draft);
            say('Reminder set.');
            onClose();
        });
    };

    return (
        <Form
            aria-label="Set a reminder"
            $wide
            onSubmit={(event: FormEvent) => {
                event.preventDefault();
                void save();
            }}
            onLeave={onClose}
        >
            <Field label="What to do" autoFocus value={draft.text} onChange={(text) => set({ text })} problem={problems.text} />
            <FieldRow>
                <Field
                    label="On"
                    width="code"
                    placeholder="today"
                    value={draft.day}
                    onChange={(day) => set({ day })}
                    problem={problems.day}
                />
                <Field
                    label="At"
                    width="mark"
                    placeholder="9:00"
                    value={draft.time}
                    onChange={(time) => set({ time })}
                    problem={problems.time}
                />
                <Suggest
                    label="Again"
                    width="word"
                    placeholder="once"
                    options={REPEATS}
                    value={draft.rule}
                    onType={(rule) => set({ rule })}
                    problem={problems.rule}
                />
                <ChooseOne
                    label="For"
                    width="word"
                    options={(choices?.colleagues ?? []).map(({ id: colleague, name }) => ({ id: String(colleague), name }))}
                    value={draft.userId === 0 ? '' : String(draft.userId)}
                    onChange={(chosen) => set({ userId: Number(chosen) })}
                    problem={problems.userId}
                />
            </FieldRow>
            {message !== undefined && <Notice tone="stop" title="Not set yet">{message} What you typed is still here.</Notice>}
            <Row $gap="small">
                <MainButton type="submit">Set this reminder</MainButton>
                <Button onPress={onClose}>Cancel</Button>
            </Row>
        </Form>
    );
}
