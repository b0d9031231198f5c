import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api, ask, Refused, type Schemas } from '../../api/client';
import { forgetMerged, forgetProposals, mergeDecidedQuery, mergePreviewQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { Button, ButtonLink, MainButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Foot, Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Notice, Quiet, Stack, Title } from '../../ui/Text';
import { useUnsaved } from '../../ui/unsaved';
import { useTitle } from '../../ui/useTitle';
import { AwaitedSheet } from '../../ui/Unread';
import { called, MergeParts } from './MergeParts';
import { NotPossible } from './NotPossible';
import { decidedIn, inputOf, UNDECIDED, type Decided } from './decided';

/** Records that are to become one: those in the address, or those of a proposal. */
export function MakeOnePage() {
    const [search] = useSearchParams();
    const proposal = Number(search.get('proposal')) || 0;
    const ids = (search.get('records') ?? '').split(',').map(Number).filter((id) => id > 0);
    const { data, error, refetch } = useQuery({ ...mergeDecidedQuery(proposal), enabled: proposal > 0 });
    if (proposal === 0) {
        return <MakeOne key={ids.join(',')} ids={ids} begins={UNDECIDED} why="" proposal={0} />;
    }
    return data === undefined
        ? <AwaitedSheet what="The proposal" error={error} retry={() => void refetch()} />
        : <MakeOne key={proposal} ids={data.partyIds} begins={decidedIn(data)} why={data.why} proposal={proposal} />;
}

interface Props {
    ids: number[];
    begins: Decided;
    why: string;
    proposal: number;
}

function MakeOne({ ids, begins, why: said, proposal }: Props) {
    const [decided, setDecided] = useState(begins);
    const [why, setWhy] = useState(said);
    const { data, error, refetch, isPlaceholderData } = useQuery(mergePreviewQuery(inputOf(ids, decided)));
    const { run, message, failure } = useSaving();
    const [isDone, setDone] = useState(false);
    const navigate = useNavigate();
    const say = useSay();
    const names = data?.sides.map(({ name }) => name).join(' and ') ?? '';
    useTitle(names === '' ? 'Make one' : `Make one of ${names}`);
    useUnsaved(!isDone && (decided !== begins || why !== said));
    if (data === undefined) {
        return (
            <NotPossible
                title="They cannot be put together"
                error={error}
                retry={() => void refetch()}
                href="/upkeep/look-alikes"
                way="To the look-alikes"
            />
        );
    }
    const act = (send: (body: Schemas['MergeInput']) => Promise<Schemas['Merge']>, after: (merge: Schemas['Merge']) => Promise<void>) => run(async () => {
        const merge = await send(inputOf(ids, { ...decided, keptId: data.keptId }, { seen: data.seen, why }));
        setDone(true);
        await after(merge);
    });
    const path = { params: { path: { merge: proposal } } };
    const make = () => act((body) => ask(api.POST('/api/merges', { body })), async (merge) => {
        await navigate(`/records/${merge.keptId}`);
        say(`${merge.sides.map(called).join(' and ')} are one record. They can be taken apart at any time.`);
        await forgetMerged();
    });
    const propose = () => act((body) => ask(api.POST('/api/merges/propose', { body })), async () => {
        await navigate('/upkeep/look-alikes');
        say('Proposed. An approver finds it under Look-alikes.');
        await forgetProposals();
    });
    const withdraw = () => run(async () => {
        await ask(api.DELETE('/api/merges/{merge}', path));
        setDone(true);
        await navigate('/upkeep/look-alikes');
        say('The proposal is taken back.');
        await forgetProposals();
    });
    const main = data.mayDo ? make : propose;
    const isReady = data.isPossible && !isPlaceholderData;
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Form
                aria-label="Make one"
                $stretch
                isFleeting
                onSave={async () => { if (isReady) { await main(); } }}
                // Enter in a field does nothing of such weight.
                onSubmit={(event) => event.preventDefault()}
            >
                <Stack $gap="small">
                    <Title>Make one of {names}</Title>
                    <Quiet>
                        This is the record as it will stand. What is struck is kept in the history, documents keep the name they were
                        written with, and the old numbers lead here. It can be taken apart at any time.
                    </Quiet>
                </Stack>
                <MergeParts preview={data} decided={decided} onDecide={setDecided} />
                <Field label="Why, in a few words (may be left out)" width="full" value={why} onChange={setWhy} />
                {message !== undefined && (
                    <Notice tone="stop" title="Not made one">
                        {message}
                        {failure instanceof Refused && failure.isStale && (
                            <Button onPress={() => void refetch()}>Look at them again</Button>
                        )}
                    </Notice>
                )}
                <Foot aria-label="What is done">
                    <MainButton isDisabled={!isReady} onPress={() => void main()}>
                        {data.mayDo ? 'Make them one' : 'Propose it to an approver'}
                    </MainButton>
                    {proposal > 0 && <Button onPress={() => void withdraw()}>Take the proposal back</Button>}
                    <ButtonLink href="/upkeep/look-alikes">Leave them apart</ButtonLink>
                    {!data.mayDo && <Quiet>Only approvers and administrators make records one.</Quiet>}
                </Foot>
            </Form>
        </Sheet>
    );
}
