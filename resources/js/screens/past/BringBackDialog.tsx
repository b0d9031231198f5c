import { useNavigate } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { pathOf, undoOfEngagement, undoOfRecord, type SubjectKind } from '../../api/subjects';
import { useSaving } from '../../api/useSaving';
import { useSubjectAction } from '../../shared/useSubjectAction';
import { whileSaving } from '../../ui/unsaved';
import { Button, MainButton } from '../../ui/Button';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { useSay } from '../../ui/StatusLine';
import { Facts, Notice } from '../../ui/Text';

interface Props {
    kind: SubjectKind;
    id: number;
    day: string;
    section: Schemas['AsOfSection'];
    onClose: () => void;
}

/** A section as it was on a day, to be saved again: what that changes stands here before it is saved. */
export function BringBackDialog({ kind, id, day, section, onClose }: Props) {
    const { run, failure } = useSaving();
    const act = useSubjectAction();
    const navigate = useNavigate();
    const say = useSay();
    const { section: name, title, version } = section;

    const undo = () => void whileSaving(async () => {
        try {
            await act(() => kind === 'party' ? undoOfRecord(id, name, version + 1) : undoOfEngagement(id, name, version + 1));
            say('Taken back.');
        } catch (error) {
            say(`Not taken back. ${(error as Error).message}`);
        }
    });
    const save = () => run(async () => {
        const body = { day, version };
        await act(() => kind === 'party'
            ? ask(api.POST('/api/parties/{id}/sections/{section}/bring-back', { params: { path: { id, section: name } }, body }))
            : ask(api.POST('/api/engagements/{engagement}/sections/{section}/bring-back', {
                params: { path: { engagement: id, section: name } }, body,
            })));
        await navigate(`${pathOf(kind, id)}#${name}`);
        say(`${title}: again as on ${day}.`, undo);
    });

    return (
        <Dialog title={`${title}: as on ${day} again?`} onClose={onClose}>
            <p>Saving it changes this. It is a new save of today; the log keeps both.</p>
            <Facts>
                {section.facts.filter(({ isDifferent }) => isDifferent).map(({ key, label, then, other }) => (
                    <div key={key}>
                        <dt>{label}</dt>
                        <dd>
                            {other !== '' && <del>{other}</del>}
                            {other !== '' && then !== '' && ' → '}
                            {then === '' ? ' goes' : <ins>{then}</ins>}
                        </dd>
                    </div>
                ))}
            </Facts>
            {failure !== undefined && <Notice tone="stop" title="Not saved">{failure.message}</Notice>}
            <DialogButtons>
                <MainButton onPress={() => void save()}>Save {title} as it was</MainButton>
                <Button autoFocus onPress={onClose}>Cancel</Button>
            </DialogButtons>
        </Dialog>
    );
}
