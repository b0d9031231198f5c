import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import type { Schemas } from '../../api/client';
import { choicesQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { RecordPicker } from '../../shared/RecordPicker';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { byNumber, ChooseOne, ChooseSeveral, Tick, type Option } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { FieldRow, Heading, Mark, Notice, Quiet, Row, Stack } from '../../ui/Text';

export type MeetingDraft = Omit<Schemas['MeetingInput'], 'partyIds' | 'version'> & { parties: { id: number; name: string }[] };

export const NEW_MEETING: MeetingDraft = {
    title: '', day: '', time: '', minutes: 60, place: '', agenda: '', parties: [], userIds: [], documentId: null, isInvited: true,
};

const NONE = 'none';
const LASTS = [
    [15, '15 minutes'], [30, 'half an hour'], [45, '45 minutes'], [60, 'an hour'], [90, 'an hour and a half'], [120, '2 hours'],
    [180, '3 hours'], [240, '4 hours'], [480, '8 hours'], [1440, 'a whole day'],
] as const;

interface Props {
    label: string;
    begun: MeetingDraft;
    /** What it may be about. */
    documents: Option[];
    saveLabel: string;
    save: (input: Omit<Schemas['MeetingInput'], 'version'>) => Promise<void>;
    onLeave: () => void;
}

/** A meeting as it is arranged or changed. */
export function MeetingForm({ label, begun, documents, saveLabel, save, onLeave }: Props) {
    const [draft, setDraft] = useState(begun);
    const { data: choices } = useQuery(choicesQuery);
    const { run, problems, message } = useSaving();
    const set = (part: Partial<MeetingDraft>) => setDraft((now) => ({ ...now, ...part }));
    const { parties, ...rest } = draft;
    const lasts = LASTS.some(([minutes]) => minutes === draft.minutes)
        ? LASTS
        : [...LASTS, [draft.minutes, `${draft.minutes} minutes`] as const];

    return (
        <Form
            aria-label={label}
            $wide
            onSubmit={(event: FormEvent) => {
                event.preventDefault();
                void run(() => save({ ...rest, partyIds: parties.map(({ id }) => id) }));
            }}
            onLeave={onLeave}
        >
            <Field
                label="About"
                width="full"
                autoFocus
                placeholder="The dial, and what it costs"
                value={draft.title}
                onChange={(title) => set({ title })}
                problem={problems.title}
            />
            <FieldRow>
                <Field label="Day" width="day" placeholder="+7" value={draft.day} onChange={(day) => set({ day })} problem={problems.day} />
                <Field
                    label="Time"
                    width="mark"
                    placeholder="14:00"
                    value={draft.time}
                    onChange={(time) => set({ time })}
                    problem={problems.time}
                />
                <ChooseOne
                    label="For"
                    width="word"
                    options={lasts.map(([minutes, name]) => ({ id: String(minutes), name }))}
                    value={String(draft.minutes)}
                    onChange={(minutes) => set({ minutes: Number(minutes) })}
                    problem={problems.minutes}
                />
                <Field label="Place" width="phrase" value={draft.place} onChange={(place) => set({ place })} problem={problems.place} />
            </FieldRow>
            <Field label="Agenda" lines={4} value={draft.agenda} onChange={(agenda) => set({ agenda })} problem={problems.agenda} />
            {documents.length > 0 && (
                <ChooseOne
                    label="About the document"
                    width="line"
                    options={[{ id: NONE, name: 'none' }, ...documents]}
                    value={draft.documentId === null ? NONE : String(draft.documentId)}
                    onChange={(id) => set({ documentId: id === NONE ? null : Number(id) })}
                    problem={problems.documentId}
                />
            )}
            <Heading>Who comes</Heading>
            <Stack $gap="small" $wide>
                {parties.length === 0 && <Quiet>Nobody from outside yet.</Quiet>}
                {parties.map(({ id, name }, at) => (
                    <Row key={id} $gap="small">
                        {name}
                        <QuietButton
                            aria-label={`Leave out ${name}`}
                            onPress={() => set({ parties: parties.filter((one) => one.id !== id) })}
                        >
                            Leave out
                        </QuietButton>
                        {problems[`partyIds.${at}`] !== undefined && <Mark tone="stop">{problems[`partyIds.${at}`]}</Mark>}
                    </Row>
                ))}
                <RecordPicker
                    label="Who else comes"
                    takesFocus={false}
                    onPick={({ id, displayName: name }) => set({ parties: [...parties.filter((one) => one.id !== id), { id, name }] })}
                />
            </Stack>
            <ChooseSeveral
                label="Colleagues"
                options={byNumber(choices?.colleagues ?? [])}
                value={draft.userIds.map(String)}
                onChange={(ids) => set({ userIds: ids.map(Number) })}
            />
            {problems.userIds !== undefined && <Mark tone="stop">{problems.userIds}</Mark>}
            <Tick isSelected={draft.isInvited} onChange={(isInvited) => set({ isInvited })}>
                send them invitations, and word of every change
            </Tick>
            {problems.isInvited !== undefined && <Mark tone="stop">{problems.isInvited}</Mark>}
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <Row $gap="small">
                <MainButton type="submit">{saveLabel}</MainButton>
                <Button onPress={onLeave}>Cancel</Button>
                <Quiet aria-hidden>Ctrl+Enter saves</Quiet>
            </Row>
        </Form>
    );
}
