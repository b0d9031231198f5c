import { useState, type FormEvent, type ReactNode } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { useTitles } from '../../shared/titles';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Notice, Small } from '../../ui/Text';
import type { RecordData } from './sections/spec';
import { useMayEdit } from './useMayEdit';
import { useSubjectAction } from '../../shared/useSubjectAction';

type Caution = Schemas['Caution'];
type Input = Schemas['CautionInput'];

const BLANK: Input = { level: 'note', use: 'any', text: '', since: '', until: '' };

/** A caution as everybody sees it. */
function CautionView({
    caution,
    children,
}: {
    caution: Pick<Caution, 'level' | 'use' | 'text' | 'periodText' | 'by'>;
    children?: ReactNode;
}) {
    const isStop = caution.level === 'stop';
    const when = caution.use === 'any' ? '' : ` when ${caution.use}`;
    return (
        <Notice tone={isStop ? 'stop' : 'look'} title={`${isStop ? 'Stop' : 'Note'}${when}: ${caution.text}`}>
            <Small>{[caution.by, caution.periodText, 'stays in the office'].filter((text) => text !== '').join(', ')}</Small>
            {children}
        </Notice>
    );
}

/** The cautions that are in force, at the head of the record. */
export function Cautions({ record }: { record: RecordData }) {
    const mayEdit = useMayEdit(record);
    const act = useSubjectAction();
    const say = useSay();
    const lift = async (caution: number) => {
        try {
            await act(() =>
                ask(api.DELETE('/api/parties/{id}/cautions/{caution}', { params: { path: { id: record.party.id, caution } } })),
            );
            say('Caution lifted.');
        } catch (error) {
            say(`Not lifted. ${(error as Error).message}`);
        }
    };

    return record.cautions.map((caution) => (
        <CautionView key={caution.id} caution={caution}>
            {mayEdit && caution.mayLift && <QuietButton onPress={() => void lift(caution.id)}>Lift it</QuietButton>}
        </CautionView>
    ));
}

/** Puts a caution on the record, shown meanwhile as colleagues will see it. */
export function CautionDialog({ record, onClose }: { record: RecordData; onClose: () => void }) {
    const levels = useTitles('cautionLevels');
    const uses = useTitles('cautionUses');
    const [draft, setDraft] = useState(BLANK);
    const { run, problems, message } = useSaving();
    const { userName } = useSession();
    const act = useSubjectAction();
    const say = useSay();
    const set = (part: Partial<Input>) => setDraft({ ...draft, ...part });

    const save = async (event: FormEvent) => {
        event.preventDefault();
        await run(async () => {
            await act(() => ask(api.POST('/api/parties/{id}/cautions', { params: { path: { id: record.party.id } }, body: draft })));
            say('Caution set.');
            onClose();
        });
    };

    return (
        <Dialog title={`A caution on ${record.party.displayName}`} onClose={onClose}>
            <Form onSubmit={(event) => void save(event)}>
                <Field
                    label="What colleagues should know"
                    autoFocus
                    value={draft.text}
                    onChange={(text) => set({ text })}
                    problem={problems.text}
                />
                <FieldRow>
                    <ChooseOne
                        label="How serious it is"
                        width="word"
                        options={levels}
                        value={draft.level}
                        onChange={(level) => set({ level: level as Input['level'] })}
                    />
                    <ChooseOne
                        label="When to show it"
                        width="day"
                        options={uses}
                        value={draft.use}
                        onChange={(use) => set({ use: use as Input['use'] })}
                    />
                </FieldRow>
                <FieldRow>
                    <Field
                        label="From"
                        width="code"
                        placeholder="today"
                        value={draft.since}
                        onChange={(since) => set({ since })}
                        problem={problems.since}
                    />
                    <Field
                        label="Until"
                        width="code"
                        placeholder="+30"
                        value={draft.until}
                        onChange={(until) => set({ until })}
                        problem={problems.until}
                    />
                </FieldRow>
                {draft.text.trim() !== '' && (
                    <>
                        <Small>As colleagues will see it:</Small>
                        <CautionView caution={{ ...draft, periodText: '', by: userName ?? '' }} />
                    </>
                )}
                {message !== undefined && <Notice tone="stop" title="Not set yet">{message}</Notice>}
                <DialogButtons>
                    <MainButton type="submit">Set this caution</MainButton>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}
