import { useQueries, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { forgetMerged, lookAlikesQuery, mergePreviewQuery } from '../../api/queries';
import { Button, ButtonLink, MainButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { Foot, Sheet } from '../../ui/Page';
import { Progress } from '../../ui/Progress';
import { useSay } from '../../ui/StatusLine';
import { Heading, Mark, Quiet, Row, Stack, Title } from '../../ui/Text';
import { useUnsaved } from '../../ui/unsaved';
import { useTitle } from '../../ui/useTitle';
import { AwaitedSheet } from '../../ui/Unread';
import { called, MergeParts } from './MergeParts';
import { said } from './MergeSection';
import { inputOf, UNDECIDED, type Decided } from './decided';

type Group = Schemas['LookAlikeGroupRow'];

/** What has come of a group: what it became, or why not. */
type Outcome = { keptId: number } | { refused: string };

/** Those that are nearly sure, each with the same preview; what is ticked is made one in one go. */
export function MakeSeveral() {
    useTitle('Make several one');
    const { data, error, refetch } = useQuery({ ...lookAlikesQuery(), refetchInterval: false });
    const [groups, setGroups] = useState<Group[]>();
    const sure = groups ?? data?.rows.filter(({ isSure, isLater }) => isSure && !isLater);
    if (sure === undefined) {
        return <AwaitedSheet what="The look-alikes" error={error} retry={() => void refetch()} />;
    }
    // They stay in sight when they are done: the list is asked for again by then.
    return <Several groups={sure} onBegun={() => setGroups(sure)} />;
}

function Several({ groups, onBegun }: { groups: Group[]; onBegun: () => void }) {
    const [decided, setDecided] = useState<Record<number, Decided>>({});
    const [left, setLeft] = useState<number[]>([]);
    const [open, setOpen] = useState<number>();
    const [outcomes, setOutcomes] = useState<Record<number, Outcome>>({});
    const [begun, setBegun] = useState<number>();
    const say = useSay();
    const idsOf = (group: Group) => group.records.map(({ id }) => id);
    const previews = useQueries({
        queries: groups.map((group) => ({
            ...mergePreviewQuery(inputOf(idsOf(group), decided[group.id] ?? UNDECIDED)),
            enabled: outcomes[group.id] === undefined,
        })),
    });
    const previewOf = (group: Group) => previews[groups.indexOf(group)];
    const ready = groups.filter(
        (group) => !left.includes(group.id) && outcomes[group.id] === undefined && previewOf(group)?.data?.isPossible === true,
    );
    const mayDo = previews.some(({ data }) => data?.mayDo === true);
    useUnsaved(Object.keys(decided).length > 0 && Object.keys(outcomes).length === 0);

    const makeOne = async (group: Group): Promise<Outcome> => {
        const preview = previewOf(group)?.data;
        try {
            const body = inputOf(
                idsOf(group),
                { ...decided[group.id] ?? UNDECIDED, keptId: preview?.keptId ?? null },
                { seen: preview?.seen ?? '', why: '' },
            );
            return { keptId: (await ask(api.POST('/api/merges', { body }))).keptId };
        } catch (failure) {
            return { refused: (failure as Error).message };
        }
    };
    const make = async () => {
        if (begun !== undefined) {
            return;
        }
        onBegun();
        setBegun(ready.length);
        let made = 0;
        for (const group of ready) {
            const outcome = await makeOne(group);
            made += 'keptId' in outcome ? 1 : 0;
            setOutcomes((so) => ({ ...so, [group.id]: outcome }));
        }
        setBegun(undefined);
        say(made === ready.length
            ? `Done: ${made}. Each can be taken apart at any time.`
            : `${made} of ${ready.length} done; the others say why not.`);
        await forgetMerged();
    };
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Stack $gap="small">
                    <Title>Make several one</Title>
                    <Quiet>
                        Those that are nearly surely the same. Open each to see the record as it will stand; untick whom you are
                        not sure of.
                    </Quiet>
                </Stack>
                {groups.length === 0 && <Quiet>Nobody is nearly surely in the book twice.</Quiet>}
                {groups.map((group) => {
                    const preview = previewOf(group);
                    const names = group.records.map(({ displayName }) => displayName).join(' · ');
                    const outcome = outcomes[group.id];
                    return (
                        <Stack key={group.id} as="section" $gap="small" $stretch aria-label={names}>
                            <Row>
                                {outcome === undefined && mayDo && preview?.data?.isPossible === true && (
                                    <Tick
                                        label={`Make one of ${names}`}
                                        isSelected={!left.includes(group.id)}
                                        onChange={(is) => setLeft(is ? left.filter((id) => id !== group.id) : [...left, group.id])}
                                    />
                                )}
                                <Heading>{names}</Heading>
                                <Told outcome={outcome} preview={preview?.data} error={preview?.error ?? null} />
                                {outcome === undefined && preview?.data !== undefined && (
                                    <Button
                                        aria-expanded={open === group.id}
                                        aria-label={`See ${names}`}
                                        onPress={() => setOpen(open === group.id ? undefined : group.id)}
                                    >
                                        {open === group.id ? 'Close' : 'See it'}
                                    </Button>
                                )}
                            </Row>
                            {open === group.id && outcome === undefined && preview?.data !== undefined && (
                                <MergeParts
                                    preview={preview.data}
                                    decided={decided[group.id] ?? UNDECIDED}
                                    onDecide={(one) => setDecided({ ...decided, [group.id]: one })}
                                />
                            )}
                        </Stack>
                    );
                })}
                <Foot aria-label="What is done">
                    {begun === undefined ? (
                        <>
                            {mayDo && (
                                <MainButton
                                    isDisabled={ready.length === 0 || previews.some(({ isPlaceholderData }) => isPlaceholderData)}
                                    onPress={() => void make()}
                                >
                                    {ready.length === 1 ? 'Make one of these' : `Make one of each of these ${ready.length}`}
                                </MainButton>
                            )}
                            <ButtonLink href="/upkeep/look-alikes">Back to the look-alikes</ButtonLink>
                            {!mayDo && groups.length > 0 && (
                                <Quiet>Only approvers and administrators make records one; propose them one by one.</Quiet>
                            )}
                        </>
                    ) : <Progress label="Making them one" done={Object.keys(outcomes).length} of={begun} />}
                </Foot>
            </Stack>
        </Sheet>
    );
}

/** In a few words what becomes, or became, of a group. */
function Told({ outcome, preview, error }: { outcome: Outcome | undefined; preview: Schemas['MergePreview'] | undefined; error: Error | null }) {
    if (outcome !== undefined) {
        return 'keptId' in outcome
            ? <Mark tone="fine">made one: <Link to={`/records/${outcome.keptId}`}>open it</Link></Mark>
            : <Mark tone="stop">{outcome.refused}</Mark>;
    }
    if (preview === undefined) {
        return error === null ? null : <Mark tone="stop">{error.message}</Mark>;
    }
    if (!preview.isPossible) {
        return <Mark tone="stop">{preview.hindrances.map(({ what }) => what).join(' ')}</Mark>;
    }
    const values = preview.sections.flatMap((section) => section.values).filter((value) => said(value).length > 1).length;
    const doubles = preview.sections.flatMap(({ lines }) => lines).filter(({ isKept }) => !isKept).length;
    const stays = preview.sides.find(({ id }) => id === preview.keptId);
    return (
        <Quiet>
            {[
                stays === undefined ? '' : `${called(stays)} stays`,
                values === 0 ? 'nothing to choose' : `${values} ${values === 1 ? 'value' : 'values'} chosen`,
                doubles === 0 ? '' : `${doubles} ${doubles === 1 ? 'double' : 'doubles'} struck`,
            ].filter((words) => words !== '').join(', ')}
        </Quiet>
    );
}
