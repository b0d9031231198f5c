import { useState } from 'react';
import styled from 'styled-components';
import { api, ask, Refused, type Schemas } from '../api/client';
import { forgetReminders } from '../api/queries';
import { useSession } from '../api/session';
import { useSaving } from '../api/useSaving';
import { Button, QuietButton } from '../ui/Button';
import { Field } from '../ui/Field';
import { Menu } from '../ui/Menu';
import { Form } from '../ui/Form';
import { useSay } from '../ui/StatusLine';
import { FieldRow, Mark, Row, Small } from '../ui/Text';
import { space } from '../ui/tokens';
import { SubjectLink } from './SubjectLink';

type Reminder = Schemas['Reminder'];

const Root = styled.div`
    display: grid;
    gap: ${space.hair};
    width: 100%;
    padding: ${space.tight} 0;
`;

/** A reminder, with what can be done about it. */
export function ReminderLine({ reminder, withParty = false }: { reminder: Reminder; withParty?: boolean }) {
    const { mayChangeRecords, userName } = useSession();
    const [isAsking, setAsking] = useState(false);
    const say = useSay();
    const path = { params: { path: { reminder: reminder.id } } };

    const act = async (done: string, call: () => Promise<unknown>) => {
        try {
            await call();
            forgetReminders(reminder.about);
            say(done);
        } catch (error) {
            say(`Not done. ${error instanceof Refused ? Object.values(error.fields)[0] ?? error.message : (error as Error).message}`);
        }
    };
    const putOff = (day: string) => act('Put off.', () => ask(api.PUT('/api/reminders/{reminder}', { ...path, body: { day, time: '' } })));

    return (
        <Root>
            <Row $gap="small">
                <span>{reminder.text}</span>
                {reminder.isDue && <Mark tone="look">due</Mark>}
            </Row>
            <Row $gap="small">
                <Small>
                    {[
                        reminder.whenText,
                        reminder.repeatText,
                        reminder.for !== userName && `for ${reminder.for}`,
                        reminder.by !== reminder.for && `set by ${reminder.by}`,
                    ]
                        .filter(Boolean)
                        .join(' · ')}
                    {withParty && (
                        <>
                            {' '}
                            · <SubjectLink subject={reminder.about} />
                        </>
                    )}
                </Small>
                {mayChangeRecords && (
                    <>
                        <QuietButton
                            aria-label={`Done: ${reminder.text}`}
                            onPress={() =>
                                void act('Done.', () =>
                                    ask(api.POST('/api/reminders/{reminder}/done', { ...path, body: { day: reminder.day } })),
                                )
                            }
                        >
                            Done
                        </QuietButton>
                        <Menu
                            label="Put off"
                            items={[
                                { id: 'tomorrow', name: 'Until tomorrow', onChoose: () => void putOff('tomorrow') },
                                { id: 'week', name: 'For a week', onChoose: () => void putOff('+7') },
                                { id: 'other', name: 'Until another day …', onChoose: () => setAsking(true) },
                                {
                                    id: 'remove',
                                    name: 'Remove it',
                                    onChoose: () =>
                                        void act('Removed; what it said stays in the log.', () =>
                                            ask(api.DELETE('/api/reminders/{reminder}', path)),
                                        ),
                                },
                            ]}
                        />
                    </>
                )}
            </Row>
            {isAsking && <PutOff reminder={reminder} onClose={() => setAsking(false)} />}
        </Root>
    );
}

function PutOff({ reminder, onClose }: { reminder: Reminder; onClose: () => void }) {
    const [day, setDay] = useState('');
    const [time, setTime] = useState('');
    const { run, problems, message } = useSaving();
    const say = useSay();
    const save = () => run(async () => {
        await ask(api.PUT('/api/reminders/{reminder}', { params: { path: { reminder: reminder.id } }, body: { day, time } }));
        onClose();
        forgetReminders(reminder.about);
        say('Put off.');
    });
    return (
        <Form
            aria-label={`Put off ${reminder.text}`}
            onSubmit={(event) => {
                event.preventDefault();
                void save();
            }}
        >
            <FieldRow $foot>
                <Field
                    label="Until"
                    autoFocus
                    width="day"
                    placeholder="1 Dec"
                    value={day}
                    onChange={setDay}
                    problem={problems.day ?? message}
                />
                <Field label="At" width="mark" placeholder="9:30" value={time} onChange={setTime} problem={problems.time} />
                <Button type="submit">Put off</Button>
                <QuietButton onPress={onClose}>Cancel</QuietButton>
            </FieldRow>
        </Form>
    );
}
