import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { bulkChangesQuery, forget } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { useTitles } from '../../shared/titles';
import { Button, MainButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { Mark, Notice, Quiet, Stack } from '../../ui/Text';
import { BulkFields } from './BulkFields';

type Change = Schemas['BulkChangeInput'];
type Preview = Schemas['BulkPreview'];

interface Props {
    chosen: Schemas['ChosenInput'];
    count: number;
    onClose: () => void;
}

/** What is to be done to those that are chosen; what it would do is seen before it is done. */
export function BulkDialog({ chosen, count, onClose }: Props) {
    const kinds = useTitles('bulkKinds');
    const [change, setChange] = useState<Change>({ kind: 'owner', values: [] });
    const [preview, setPreview] = useState<Preview>();
    const { run, problems, message } = useSaving();
    const say = useSay();
    const navigate = useNavigate();
    const people = count === 1 ? '1 record' : `${count.toLocaleString('en')} records`;
    const change_ = (next: Change) => {
        setChange(next);
        setPreview(undefined);
    };
    const tryIt = () => run(async () => {
        setPreview(await ask(api.POST('/api/bulk-changes/preview', { body: { chosen, change } })));
    });
    const begin = () => run(async () => {
        const begun = await ask(api.POST('/api/bulk-changes', { body: { chosen, change } }));
        void forget(bulkChangesQuery.queryKey);
        say(`${begun.title}: under way.`);
        onClose();
        await navigate('/under-way');
    });
    const left = preview === undefined ? 0 : Math.max(0, count - preview.same - preview.refused);

    return (
        <Dialog title={`Change ${people}`} onClose={onClose} isWide>
            <Form aria-label="Bulk change" $stretch onSave={preview === undefined ? tryIt : begin} onSubmit={(event) => event.preventDefault()}>
                <Stack $stretch>
                    <ChooseOne
                        label="What is done"
                        options={kinds}
                        value={change.kind}
                        width="line"
                        onChange={(kind) => change_({ kind, values: [] })}
                    />
                    <BulkFields key={change.kind} change={change} onChange={change_} problem={problems.values ?? problems['change.values']} />
                    {message !== undefined && <Notice tone="stop" title="Not possible">{message}</Notice>}
                    {preview !== undefined && <Tried preview={preview} left={left} />}
                </Stack>
                <DialogButtons>
                    {preview === undefined || left === 0
                        ? <MainButton onPress={() => void tryIt()}>See what it would do</MainButton>
                        : <MainButton onPress={() => void begin()}>{`Change ${left.toLocaleString('en')}`}</MainButton>}
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}

function Tried({ preview, left }: { preview: Preview; left: number }) {
    return (
        <Stack $gap="small" $stretch>
            <p role="status">
                <strong>{preview.title}</strong>: {left.toLocaleString('en')} would change
                {preview.same > 0 && `, ${preview.same.toLocaleString('en')} are so already`}
                {preview.refused > 0 && `, ${preview.refused.toLocaleString('en')} cannot`}.
            </p>
            {preview.why !== '' && <Mark tone="look">{preview.why}</Mark>}
            {preview.examples.length > 0 && (
                <TableScroll $short>
                    <Table>
                        <thead><tr><th>The first of them</th><th>What</th><th>Before</th><th>After</th></tr></thead>
                        <tbody>
                            {preview.examples.map((one) => (
                                <tr key={one.id}>
                                    <td className="words">{one.name}</td>
                                    <td>{one.label}</td>
                                    <td className="words">{one.from === '' ? <Quiet>nothing</Quiet> : one.from}</td>
                                    <td className="words">
                                        {one.refusal !== '' ? <Mark tone="look">{one.refusal}</Mark> : one.to === '' ? <Quiet>nothing</Quiet> : one.to}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </Table>
                </TableScroll>
            )}
        </Stack>
    );
}
