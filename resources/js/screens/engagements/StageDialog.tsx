import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import type { EngagementData } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton } from '../../ui/Button';
import { byNumber, ChooseOne, Tick } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Notice } from '../../ui/Text';
import { useSubjectAction } from '../../shared/useSubjectAction';

type Row = Schemas['EngagementRow'];
type Stage = Schemas['Stage'];

/** Puts it into another stage as somebody has asked; where a reason is needed, they are asked for it. */
export function sendMove(
    row: Row,
    stageId: number,
    more: { on?: string; reason?: string; isSure?: boolean } = {},
): Promise<EngagementData> {
    return ask(
        api.POST('/api/engagements/{engagement}/moves', {
            params: { path: { engagement: row.id } },
            body: { fromId: row.stage.id, stageId, on: more.on ?? '', reason: more.reason ?? '', isSure: more.isSure ?? false },
        }),
    );
}

export function takeMoveBack(engagement: number, move: number): Promise<EngagementData> {
    return ask(api.DELETE('/api/engagements/{engagement}/moves/{move}', { params: { path: { engagement, move } } }));
}

/** Whether to come into that stage from where it is, somebody has to say why. */
export function needsReason(from: Stage, to: Stage): boolean {
    return to.meaning === 'closed' || from.meaning === 'closed';
}

interface Props {
    row: Row;
    stages: Stage[];
    /** The one that was asked for; else it is chosen. */
    to?: Stage | undefined;
    onClose: () => void;
    onMoved: (engagement: EngagementData) => void;
}

/** Moves it into another stage: which, from when on, and why where that has to be said. */
export function StageDialog({ row, stages, to, onClose, onMoved }: Props) {
    const open = stages.filter(({ id, isRetired }) => id !== row.stage.id && !isRetired);
    const [stageId, setStageId] = useState(to?.id ?? open[0]?.id ?? 0);
    const [on, setOn] = useState('');
    const [reason, setReason] = useState('');
    const [isSure, setSure] = useState(false);
    const { run, problems, message } = useSaving();
    const act = useSubjectAction();
    const chosen = stages.find(({ id }) => id === stageId);
    const label = chosen === undefined || !needsReason(row.stage, chosen)
        ? 'Note'
        : row.stage.meaning === 'closed'
          ? 'Why it is opened again'
          : row.stage.meaning === 'enquiry'
            ? 'Why it was lost'
            : 'How it ended';

    return (
        <Dialog title={`Move ${row.number}`} onClose={onClose}>
            <Form
                onSubmit={(event) => {
                    event.preventDefault();
                    void run(async () => {
                        await act(async () => {
                            const moved = await sendMove(row, stageId, { on, reason, isSure });
                            onMoved(moved);
                            return moved;
                        });
                        onClose();
                    });
                }}
            >
                <p>{row.title}, now “{row.stage.name}” since {row.sinceText}.</p>
                <ChooseOne
                    label="Into the stage"
                    width="phrase"
                    options={byNumber(open)}
                    value={String(stageId)}
                    onChange={(id) => setStageId(Number(id))}
                    problem={problems.stageId}
                />
                <Field label="Since" width="day" placeholder="today" value={on} onChange={setOn} problem={problems.on} />
                <Field label={label} width="full" autoFocus value={reason} onChange={setReason} problem={problems.reason} />
                {problems.isSure !== undefined && (
                    <Notice tone="look" title={problems.isSure}>
                        <Tick isSelected={isSure} onChange={setSure}>close it all the same</Tick>
                    </Notice>
                )}
                {message !== undefined && <Notice tone="stop" title="Not moved">{message}</Notice>}
                <DialogButtons>
                    <MainButton type="submit">Move it</MainButton>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}
