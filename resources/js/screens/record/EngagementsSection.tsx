import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import {
    engagementKindsQuery, engagementsOfRecordQuery, forget, keepEngagement, readEngagementAnew,
} from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { newPartyRow, partiesInput, partyRows } from '../../shared/engagementParties';
import { EngagementPicker } from '../../shared/EngagementPicker';
import { PlainSection } from '../../shared/section/SectionFrame';
import { Button, ButtonLink, MainButton, QuietButton } from '../../ui/Button';
import { byNumber, ChooseOne } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { Mark, Notice, Quiet, Row, Small, Stack } from '../../ui/Text';
import type { RecordData } from './sections/spec';
import { useMayEdit } from './useMayEdit';

type EngagementRow = Schemas['EngagementRow'];

/** All that the record was ever part of: the live ones first, the closed ones folded. */
export function EngagementsSection({ record }: { record: RecordData }) {
    const { party } = record;
    const { data: rows, error, refetch } = useQuery(engagementsOfRecordQuery(party.id));
    const { data: kinds } = useQuery(engagementKindsQuery);
    const mayEdit = useMayEdit(record);
    const [showsClosed, setShowsClosed] = useState(false);
    const [isAdding, setAdding] = useState(false);
    const live = rows?.filter(({ isClosed }) => !isClosed) ?? [];
    const closed = rows?.filter(({ isClosed }) => isClosed) ?? [];
    const tools = mayEdit && (
        <Row $gap="small">
            {kinds?.filter(({ isRetired }) => !isRetired).map(({ id, name }) => (
                <ButtonLink key={id} href={`/engagements/begin?kind=${id}&client=${party.id}`}>New {name}</ButtonLink>
            ))}
            <Button onPress={() => setAdding(true)}>Add to one …</Button>
        </Row>
    );

    return (
        <PlainSection id="engagements" title="Cases & projects">
            <Stack $gap="small" $stretch>
                {error !== null && (
                    <Quiet>They could not be loaded. <QuietButton onPress={() => void refetch()}>Try again</QuietButton></Quiet>
                )}
                {tools}
                {/* A line is kept for what comes, so that nothing below moves away from under a press. */}
                {rows === undefined && error === null && <Quiet>Reading them …</Quiet>}
                {rows?.length === 0 && <Quiet>None yet. What the firm does for them, or with them, stands here.</Quiet>}
                {live.map((row) => <One key={row.id} row={row} />)}
                {closed.length > 0 && (
                    <QuietButton onPress={() => setShowsClosed(!showsClosed)} aria-expanded={showsClosed}>
                        {showsClosed ? 'Hide the closed ones' : `${closed.length} closed`}
                    </QuietButton>
                )}
                {showsClosed && closed.map((row) => <One key={row.id} row={row} />)}
            </Stack>
            {isAdding && <AddDialog record={record} onClose={() => setAdding(false)} />}
        </PlainSection>
    );
}

function One({ row }: { row: EngagementRow }) {
    return (
        <Row $gap="small">
            <Quiet>{row.roles.length === 0 ? 'through its people' : row.roles.join(', ')}</Quiet>
            <Link to={`/engagements/${row.id}`}>{row.number} {row.title}</Link>
            <Small>
                {[
                    row.stage.name,
                    row.years,
                    row.agreed !== null && `${row.agreed.currency} ${row.agreed.text}`,
                    row.isPrivate && 'private',
                ].filter(Boolean).join(' · ')}
            </Small>
            {row.standsTooLong && <Mark tone="look">{row.days} days in this stage</Mark>}
        </Row>
    );
}

/** Puts the record into a case or a project that is there. */
function AddDialog({ record, onClose }: { record: RecordData; onClose: () => void }) {
    const [chosen, setChosen] = useState<EngagementRow>();
    const [roleId, setRoleId] = useState<number>();
    const { data: kinds } = useQuery(engagementKindsQuery);
    const { run, problems, message } = useSaving();
    const say = useSay();
    const roles = (kinds?.find(({ id }) => id === chosen?.kindId)?.roles ?? []).filter(({ isRetired }) => !isRetired);
    const role = roles.find(({ id }) => id === roleId) ?? roles.find(({ isClient }) => !isClient) ?? roles[0];
    const { party } = record;

    const add = () => run(async () => {
        if (chosen === undefined || role === undefined) {
            return;
        }
        // Whoever else is in it stays; it is read as it is now.
        const now = await readEngagementAnew(chosen.id);
        const parties = [...partyRows(now.parties), newPartyRow(party, role.id, false)];
        keepEngagement(await ask(api.PUT('/api/engagements/{engagement}/parties', {
            params: { path: { engagement: chosen.id } },
            body: { version: now.partiesVersion, parties: partiesInput(parties) },
        })));
        void forget(engagementsOfRecordQuery(party.id).queryKey);
        say(`${party.displayName} is ${role.name} in ${chosen.number}.`);
        onClose();
    });

    return (
        <Dialog title={`Add ${party.displayName} to a case or project`} onClose={onClose} isWide>
            <Form
                onSubmit={(event) => {
                    event.preventDefault();
                    void add();
                }}
            >
                {chosen === undefined ? (
                    <EngagementPicker label="Which case or project?" takesFocus onPick={setChosen} />
                ) : (
                    <>
                        <Row $gap="small">
                            <strong>{chosen.number} {chosen.title}</strong>
                            <QuietButton onPress={() => setChosen(undefined)}>Another one</QuietButton>
                        </Row>
                        <ChooseOne
                            label="as"
                            width="word"
                            options={byNumber(roles)}
                            value={String(role?.id ?? '')}
                            onChange={(id) => setRoleId(Number(id))}
                        />
                    </>
                )}
                {(message !== undefined || Object.keys(problems).length > 0) && (
                    <Notice tone="stop" title="Not added">{message ?? Object.values(problems).join(' ')}</Notice>
                )}
                <DialogButtons>
                    {chosen !== undefined && <MainButton type="submit">Add</MainButton>}
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}
