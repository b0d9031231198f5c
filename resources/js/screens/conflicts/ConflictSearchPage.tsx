import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { conflictSearchQuery, forget, keepAnswer } from '../../api/queries';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { titleOf, useTitles } from '../../shared/titles';
import { Button, ButtonLink, MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Heading, Mark, Notice, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { line, print, space } from '../../ui/tokens';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';

type Found = Schemas['ConflictFinding'];
type Degree = Found['degree'];

const TONES: Record<Degree, 'stop' | 'look' | 'fine'> = { opposes: 'stop', near: 'look', known: 'fine', unknown: 'fine' };

const Name = styled.section`
    display: grid;
    gap: ${space.tight};
    padding: ${space.small} 0;
    border-top: ${line.rule};
    ${print} { break-inside: avoid; }
`;

const Tools = styled.div`${print} { display: none; }`;

/** A conflict search as it was, with what was decided about each finding. It prints on one page. */
export function ConflictSearchPage() {
    const id = Number(useParams().id);
    const { data, error, refetch } = useQuery(conflictSearchQuery(id));
    const [decided, setDecided] = useState<Found>();
    useTitle('Conflict search');

    if (error !== null || data === undefined) {
        return <AwaitedSheet what="The search" error={error} retry={() => void refetch()} />;
    }
    const { engagement, byText, parties, engagements, names, undecided } = data;
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $stretch>
                <Row>
                    <Title>Conflict search</Title>
                    {engagement !== null && (
                        <span>for <Link to={`/engagements/${engagement.id}`}>{engagement.number} {engagement.title}</Link></span>
                    )}
                </Row>
                <Quiet>
                    {byText}. The book held {parties.toLocaleString('en')} people and companies and {engagements.toLocaleString('en')} cases
                    and projects then.
                </Quiet>
                {undecided === 0
                    ? <Mark tone="fine">Nothing is left to decide.</Mark>
                    : <Mark tone="look">{undecided === 1 ? '1 finding is to be decided.' : `${undecided} findings are to be decided.`}</Mark>}
                <Tools>
                    <Row $gap="small">
                        <ButtonLink href={engagement === null ? '/conflicts' : `/conflicts?engagement=${engagement.id}`}>Search again</ButtonLink>
                        <Button onPress={() => window.print()}>Print</Button>
                    </Row>
                </Tools>
                <div>
                    {names.map(({ id: nameId, name, role, degree, findings }) => (
                        <Name key={nameId} aria-label={name}>
                            <Row $gap="small">
                                <Heading>{name}</Heading>
                                {role !== '' && <Small>{role}</Small>}
                                <DegreeMark degree={degree} />
                            </Row>
                            {findings.map((finding) => (
                                <OneFinding key={finding.id} finding={finding} onDecide={() => setDecided(finding)} />
                            ))}
                        </Name>
                    ))}
                </div>
            </Stack>
            {decided !== undefined && <DecideDialog finding={decided} onClose={() => setDecided(undefined)} />}
        </Sheet>
    );
}

function DegreeMark({ degree }: { degree: Degree }) {
    return <Mark tone={TONES[degree]}>{titleOf(useTitles('degrees'), degree)}</Mark>;
}

function OneFinding({ finding, onDecide }: { finding: Found; onDecide: () => void }) {
    const { mayChangeRecords } = useSession();
    const asks = finding.isToBeDecided;
    return (
        <Row $gap="small">
            <span>{finding.sentence}</span>
            {asks && <DegreeMark degree={finding.degree} />}
            {finding.decision !== null && <Small>{finding.decisionText}: {finding.reason}</Small>}
            {asks && mayChangeRecords && (
                <Tools>
                    <QuietButton aria-label={`Decide: ${finding.sentence}`} onPress={onDecide}>
                        {finding.decision === null ? 'Decide …' : 'Decide again …'}
                    </QuietButton>
                </Tools>
            )}
        </Row>
    );
}

function DecideDialog({ finding, onClose }: { finding: Found; onClose: () => void }) {
    const decisions = useTitles('decisions');
    const [decision, setDecision] = useState(finding.decision ?? 'no-conflict');
    const [reason, setReason] = useState(finding.reason);
    const [on, setOn] = useState('');
    const { run, problems, message } = useSaving();
    const say = useSay();
    return (
        <Dialog title="What is decided?" onClose={onClose}>
            <Form
                onSubmit={(event) => {
                    event.preventDefault();
                    void run(async () => {
                        const found = await ask(api.PUT('/api/conflict-findings/{finding}/decision', {
                            params: { path: { finding: finding.id } }, body: { decision, reason, on, version: finding.version },
                        }));
                        keepAnswer(conflictSearchQuery(found.id).queryKey, found);
                        void forget(['conflicts', 'list'], ['conflicts', 'waiting'], ['engagements']);
                        say('Decided.');
                        onClose();
                    });
                }}
            >
                <p>{finding.sentence}</p>
                <ChooseOne label="Decision" width="word" options={decisions} value={decision} onChange={setDecision} />
                <Field label="Why" width="full" autoFocus value={reason} onChange={setReason} problem={problems.reason} />
                <Field label="On" width="day" placeholder="today" value={on} onChange={setOn} problem={problems.on} />
                {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
                <DialogButtons>
                    <MainButton type="submit">Save the decision</MainButton>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}
