import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { addPersonByName } from '../../api/addByName';
import { api, ask } from '../../api/client';
import { recordQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { Mark, Notice, Quiet, Row, Small, Stack } from '../../ui/Text';
import { RecordPicker } from '../../shared/RecordPicker';
import type { RecordData } from './sections/spec';
import { useSubjectAction } from '../../shared/useSubjectAction';

type PositionData = RecordData['positions']['positions'][number];

/** Somebody at a company is followed by somebody else: from when, and what is handed over. */
export function ReplaceDialog({ position, onClose }: { position: PositionData; onClose: () => void }) {
    const [successor, setSuccessor] = useState<{ id: number; displayName: string }>();
    const [since, setSince] = useState('');
    const [handedOver, setHandedOver] = useState<number[]>([]);
    const { run, problems, message } = useSaving();
    const { data: predecessor } = useQuery(recordQuery(position.party.id));
    const act = useSubjectAction();
    const say = useSay();
    const { displayName } = position.party;

    const addByName = async (name: string) => {
        await run(async () => {
            setSuccessor(await addPersonByName(name));
        });
    };
    const save = async (event: FormEvent) => {
        event.preventDefault();
        await run(async () => {
            await act(() => ask(api.POST('/api/positions/{position}/replace', {
                params: { path: { position: position.id } },
                body: { successorId: successor?.id ?? 0, since, contactPointIds: handedOver },
            })));
            say(`${displayName} is followed by ${successor?.displayName}.`);
            onClose();
        });
    };

    return (
        <Dialog title={`Who follows ${displayName}?`} onClose={onClose}>
            <Form onSubmit={(event) => void save(event)}>
                <Small>
                    {[position.title, ...position.duties].filter(Boolean).join(', ') || 'The position'} passes on; {displayName} stays in
                    the history.
                </Small>
                {successor === undefined ? (
                    <RecordPicker label="Followed by" kind="person" onPick={setSuccessor} onAdd={(name) => void addByName(name)} />
                ) : (
                    <Row $gap="small">
                        {successor.displayName} <QuietButton onPress={() => setSuccessor(undefined)}>Somebody else</QuietButton>
                    </Row>
                )}
                {problems.successorId !== undefined && <Mark tone="stop">{problems.successorId}</Mark>}
                <Field label="From" width="day" placeholder="today" value={since} onChange={setSince} problem={problems.since} />
                {predecessor !== undefined && predecessor.reach.contactPoints.length > 0 && (
                    <Stack $gap="tight">
                        <Quiet>Handed over with it:</Quiet>
                        {predecessor.reach.contactPoints.map(({ id, display, label }) => (
                            <Tick
                                key={id}
                                isSelected={handedOver.includes(id)}
                                onChange={(isOver) => setHandedOver(isOver ? [...handedOver, id] : handedOver.filter((one) => one !== id))}
                            >
                                {label === '' ? display : `${display}, ${label}`}
                            </Tick>
                        ))}
                    </Stack>
                )}
                {message !== undefined && <Notice tone="stop" title="Not replaced">{message}</Notice>}
                <DialogButtons>
                    <MainButton type="submit">Replace</MainButton>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}
