import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, ask, Refused, type Schemas } from '../../api/client';
import { apartQuery, forgetMerged } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { Button, ButtonLink, MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { Form } from '../../ui/Form';
import { Foot, Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { Heading, Hidden, Notice, Quiet, Small, Stack, Title } from '../../ui/Text';
import { useUnsaved } from '../../ui/unsaved';
import { useTitle } from '../../ui/useTitle';
import { called } from './MergeParts';
import { NotPossible } from './NotPossible';

type Preview = Schemas['ApartPreview'];
type Side = Schemas['MergeSide'];

/** Takes records apart that were made one: what goes back, and to whom belongs what came and was changed since. */
export function ApartPage() {
    const merge = Number(useParams().merge);
    const { data, error, refetch } = useQuery(apartQuery(merge));
    if (data !== undefined) {
        return <Apart key={data.seen} preview={data} readAgain={() => void refetch()} />;
    }
    return (
        <NotPossible
            title="They cannot be taken apart so"
            error={error}
            retry={() => void refetch()}
            href="/upkeep/look-alikes?show=decided"
            way="To what was decided"
        />
    );
}

function Apart({ preview, readAgain }: { preview: Preview; readAgain: () => void }) {
    const { merge, back, items, changes, lost, seen, mayDo } = preview;
    const [belongs, setBelongs] = useState<Record<string, number>>({});
    const [has, setHas] = useState<Record<string, number[]>>({});
    const [isDone, setDone] = useState(false);
    const { run, message, failure } = useSaving();
    const navigate = useNavigate();
    const say = useSay();
    const names = merge.sides.map(({ name }) => name).join(' and ');
    useTitle(`Take ${names} apart`);
    useUnsaved(!isDone && Object.keys({ ...belongs, ...has }).length > 0);
    const take = () => run(async () => {
        await ask(api.POST('/api/merges/{merge}/apart', {
            params: { path: { merge: merge.id } },
            body: {
                belongs: Object.entries(belongs).map(([item, partyId]) => ({ item, partyId })),
                has: Object.entries(has).map(([part, partyIds]) => ({ part, partyIds })),
                seen,
            },
        }));
        setDone(true);
        await navigate(`/records/${merge.keptId}`);
        say(`${merge.sides.map(called).join(' and ')} are records of their own again.`);
        await forgetMerged();
    });
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Form
                aria-label="Take apart"
                $stretch
                isFleeting
                onSave={async () => { if (mayDo) { await take(); } }}
                onSubmit={(event) => event.preventDefault()}
            >
                <Stack $gap="small">
                    <Title>Take {names} apart</Title>
                    <Quiet>
                        Made one on {merge.day} by {merge.by}. Each gets back its number and what it had. What came or was changed since
                        goes as you say here.
                    </Quiet>
                </Stack>
                <GoesBack back={back} sides={merge.sides} />
                <Came items={items} merge={merge} belongs={belongs} onBelongs={setBelongs} />
                <Changed changes={changes} merge={merge} has={has} onHas={setHas} />
                {items.length + changes.length === 0 && <Quiet>Nothing has come or been changed since.</Quiet>}
                {lost.length > 0 && (
                    <Notice tone="look" title="What cannot be as it was">
                        {lost.map((one) => <div key={one}>{one}</div>)}
                    </Notice>
                )}
                {message !== undefined && (
                    <Notice tone="stop" title="Not taken apart">
                        {message}
                        {failure instanceof Refused && failure.isStale && <Button onPress={readAgain}>Look at it again</Button>}
                    </Notice>
                )}
                <Foot aria-label="What is done">
                    <MainButton isDisabled={!mayDo} onPress={() => void take()}>Take them apart</MainButton>
                    <ButtonLink href={`/records/${merge.keptId}`}>Leave them one</ButtonLink>
                    {!mayDo && <Quiet>Only approvers and administrators take records apart.</Quiet>}
                </Foot>
            </Form>
        </Sheet>
    );
}

function GoesBack({ back, sides }: { back: Preview['back']; sides: Side[] }) {
    return back.length === 0 ? null : (
        <Stack as="section" $gap="small" $stretch aria-label="What goes back">
            <Heading>What goes back</Heading>
            {sides.map((side) => back.filter(({ partyId }) => partyId === side.id).map(({ partyId, what }) => (
                <div key={partyId}>To {called(side)}: {what.join(', ')}</div>
            )))}
        </Stack>
    );
}

interface CameProps {
    items: Preview['items'];
    merge: Schemas['Merge'];
    belongs: Record<string, number>;
    onBelongs: (belongs: Record<string, number>) => void;
}

/** What came since: each, or all of a kind at once, goes to one of them. */
function Came({ items, merge: { sides }, belongs, onBelongs }: CameProps) {
    const kinds = [...new Set(items.map(({ kind }) => kind))];
    const options = sides.map((side) => ({ id: String(side.id), name: called(side) }));
    return items.length === 0 ? null : (
        <Stack as="section" $gap="small" $stretch aria-label="What came since">
            <Heading>What came since</Heading>
            <TableScroll>
                <Table>
                    <thead><tr><th scope="col">What</th><th scope="col">Goes to</th></tr></thead>
                    {kinds.map((kind) => {
                        const of = items.filter((one) => one.kind === kind);
                        const free = of.filter(({ isFixed }) => !isFixed);
                        const give = (id: number) => onBelongs({
                            ...belongs,
                            ...Object.fromEntries(free.map(({ item }) => [item, id])),
                        });
                        return (
                            <tbody key={kind}>
                                <tr>
                                    <th scope="rowgroup">{kind}</th>
                                    <td>
                                        {free.length > 1 && sides.map((side) => (
                                            <QuietButton key={side.id} onPress={() => give(side.id)}>
                                                {`All ${kind.toLowerCase()} to no. ${side.number}`}
                                            </QuietButton>
                                        ))}
                                    </td>
                                </tr>
                                {of.map((one) => (
                                    <tr key={one.item}>
                                        <td className="words">{one.text}{one.note !== '' && <> <Small>{one.note}</Small></>}</td>
                                        <td>
                                            {one.isFixed ? options.find(({ id }) => id === String(one.partyId))?.name : (
                                                <ChooseOne
                                                    label={`${one.text} goes to`}
                                                    isLabelHidden
                                                    width="phrase"
                                                    options={options}
                                                    value={String(belongs[one.item] ?? one.partyId)}
                                                    onChange={(id) => onBelongs({ ...belongs, [one.item]: Number(id) })}
                                                />
                                            )}
                                        </td>
                                    </tr>
                                ))}
                            </tbody>
                        );
                    })}
                </Table>
            </TableScroll>
        </Stack>
    );
}

interface ChangedProps {
    changes: Preview['changes'];
    merge: Schemas['Merge'];
    has: Record<string, number[]>;
    onHas: (has: Record<string, number[]>) => void;
}

/** What was changed since: who has it as it is now. The others have what they had. */
function Changed({ changes, merge: { sides }, has, onHas }: ChangedProps) {
    const one = sides.map((side) => ({ id: String(side.id), name: called(side) }));
    const several = [
        ...one,
        { id: sides.map(({ id }) => id).join(','), name: sides.length === 2 ? 'both' : 'all of them' },
        { id: 'none', name: 'nobody: as it was before' },
    ];
    return changes.length === 0 ? null : (
        <Stack as="section" $gap="small" $stretch aria-label="What was changed since">
            <Heading>What was changed since</Heading>
            <TableScroll>
                <Table>
                    <thead><tr><th scope="col">What</th><th scope="col">Then</th><th scope="col">Now</th><th scope="col">Who has it so</th></tr></thead>
                    <tbody>
                        {changes.map(({ part, title, section, was, is, partyIds, isNew }) => {
                            const now = has[part] ?? partyIds;
                            return (
                                <tr key={part}>
                                    <th scope="row">{title}<Hidden> of {section}</Hidden></th>
                                    <td className="words">{was === '' ? <Quiet>not there</Quiet> : was}</td>
                                    <td className="words">{is === '' ? <Quiet>removed</Quiet> : is}</td>
                                    <td>
                                        <ChooseOne
                                            label={`Who has ${title} ${is} as it is now`}
                                            isLabelHidden
                                            width="phrase"
                                            options={isNew ? one : several}
                                            value={now.length === 0 ? 'none' : now.join(',')}
                                            onChange={(id) => onHas({ ...has, [part]: id === 'none' ? [] : id.split(',').map(Number) })}
                                        />
                                    </td>
                                </tr>
                            );
                        })}
                    </tbody>
                </Table>
            </TableScroll>
            <Small>Whoever does not have it as it is now has what they had before.</Small>
        </Stack>
    );
}
