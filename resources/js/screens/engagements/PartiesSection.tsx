import { useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { addPersonByName } from '../../api/addByName';
import { api, ask, type Schemas } from '../../api/client';
import { likelyRelationsQuery, recordQuery, type EngagementData } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { newPartyRow, type PartyRow } from '../../shared/engagementParties';
import { RecordPicker } from '../../shared/RecordPicker';
import { SectionFrame } from '../../shared/section/SectionFrame';
import { useSubjectAction } from '../../shared/useSubjectAction';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { byNumber, ChooseOne, Tick } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { FieldGroup, FieldRow, Mark, Notice, Quiet, Row, Small, Stack } from '../../ui/Text';
import { useFocusOnAdded } from '../../ui/useFocusOnAdded';
import { partiesSpec } from './sections';
import { useEngagementSection, useMayEdit, type PageProps } from './useEngagement';

type Party = EngagementData['parties'][number];

/** Everybody concerned, each in a role. */
export function PartiesSection({ engagement, kind }: PageProps) {
    const edit = useEngagementSection(engagement, partiesSpec);
    const mayEdit = useMayEdit(engagement);
    const [replaced, setReplaced] = useState<Party>();
    const { parties } = engagement;
    return (
        <>
            <SectionFrame
                edit={edit}
                saveLabel="Save parties"
                folded={parties.length === 0 ? 'Nobody yet: the client, and whoever else is concerned.' : undefined}
                read={parties.map((one) => (
                    <Row key={one.id} $gap="small">
                        <Quiet>{one.role}</Quiet>
                        <Link to={`/records/${one.party.id}`}>{one.party.displayName}</Link>
                        <Small>
                            {[
                                one.via !== null && `through ${one.via.name}`,
                                one.contact !== null && `ask for ${one.contact.name}`,
                                one.share !== '' && `pays ${one.share}%`,
                                one.isMailed && 'letters go there',
                                one.period.text,
                                one.note,
                                one.party.phone,
                            ].filter(Boolean).join(' · ')}
                        </Small>
                        {one.cautions.map((text) => <Mark key={text} tone="look">{text}</Mark>)}
                        {mayEdit && one.period.isInForce && (
                            <QuietButton aria-label={`Replace ${one.party.displayName} as ${one.role}`} onPress={() => setReplaced(one)}>
                                Replace …
                            </QuietButton>
                        )}
                    </Row>
                ))}
                fields={(draft) => (
                    <PartyRows roles={kind.roles} rows={draft} problems={edit.problems} onChange={edit.change} />
                )}
            />
            {replaced !== undefined && (
                <ReplaceDialog engagement={engagement} one={replaced} onClose={() => setReplaced(undefined)} />
            )}
        </>
    );
}

interface RowsProps {
    roles: Schemas['EngagementRole'][];
    rows: PartyRow[];
    problems: Record<string, string>;
    onChange: (rows: PartyRow[]) => void;
    takesFocus?: boolean;
}

/** Who is concerned, a line each, and a search line for the next; the client's own people are proposed. */
export function PartyRows({ roles, rows, problems, onChange, takesFocus = true }: RowsProps) {
    const say = useSay();
    const change = (index: number, part: Partial<PartyRow>) => onChange(rows.map((row, at) => (at === index ? { ...row, ...part } : row)));
    const { list, noteAdded } = useFocusOnAdded();
    const free = roles.filter(({ isRetired }) => !isRetired);
    const client = rows.find(({ roleId }) => roles.find(({ id }) => id === roleId)?.isClient === true);
    // The next role that is needed and nobody has; then the first that anybody may have.
    const proposed = () => free.find(({ id, least }) => rows.filter(({ roleId }) => roleId === id).length < least)
        ?? free.find(({ isClient, most }) => !isClient && most === null) ?? free[0];
    const add = (party: { id: number; displayName: string; kind: string }) => {
        const role = proposed();
        if (role === undefined) {
            say('Add a role to this kind under Office first.');
            return;
        }
        noteAdded();
        onChange([...rows, newPartyRow(party, role.id, role.isClient)]);
    };
    const addByName = async (typed: string) => {
        try {
            const party = await addPersonByName(typed);
            say(`${party.displayName} added to the book, with just the name.`);
            add(party);
        } catch (error) {
            say(`Not added. ${(error as Error).message}`);
        }
    };

    return (
        <Stack ref={list} $wide>
            {rows.map((row, index) => (
                <PartyFields
                    key={row.key}
                    roles={roles.filter(({ id, isRetired }) => !isRetired || id === row.roleId)}
                    row={row}
                    problemAt={(field) => problems[`parties.${index}.${field}`]}
                    onChange={(part) => change(index, part)}
                    onRemove={() => onChange(rows.filter((_, at) => at !== index))}
                />
            ))}
            {client !== undefined && <Likely of={client} taken={rows.map(({ partyId }) => partyId)} onPick={add} />}
            <RecordPicker label="Who else is concerned?" onPick={add} onAdd={(name) => void addByName(name)} addsKind="person" takesFocus={takesFocus} />
        </Stack>
    );
}

/** The client's own people and relatives, who are concerned more often than anybody else. */
function Likely({ of, taken, onPick }: { of: PartyRow; taken: number[]; onPick: (party: Schemas['PartyRow']) => void }) {
    const { data: record } = useQuery(recordQuery(of.partyId));
    const { data: likely } = useQuery(likelyRelationsQuery(of.partyId));
    const near = [
        ...(record?.positions.positions.filter(({ period }) => period.isInForce).map(({ party }) => party) ?? []),
        ...(record?.relations.relations.map(({ party }) => party) ?? []),
        ...(likely ?? []),
    ].filter(({ id }, at, all) => !taken.includes(id) && all.findIndex((other) => other.id === id) === at);
    return near.length > 0 && (
        <Row $gap="small">
            <Quiet>Near {of.partyName}:</Quiet>
            {near.slice(0, 8).map((party) => <Button key={party.id} onPress={() => onPick(party)}>{party.displayName}</Button>)}
        </Row>
    );
}

interface FieldsProps {
    roles: Schemas['EngagementRole'][];
    row: PartyRow;
    problemAt: (field: string) => string | undefined;
    onChange: (part: Partial<PartyRow>) => void;
    onRemove: () => void;
}

function PartyFields({ roles, row, problemAt, onChange, onRemove }: FieldsProps) {
    const { data: record } = useQuery(recordQuery(row.partyId));
    const missing = problemAt('partyId');
    const tied = (record?.positions.positions ?? []).filter(({ period }) => period.isInForce).map(({ party }) => party);
    const other = row.isCompany ? row.contactId : row.viaId;
    const otherName = row.isCompany ? row.contactName : row.viaName;
    const options = [
        { id: 'none', name: row.isCompany ? 'nobody in particular' : 'nobody: for themselves' },
        ...tied.map(({ id, displayName }) => ({ id: String(id), name: displayName })),
        ...(other !== null && !tied.some(({ id }) => id === other) ? [{ id: String(other), name: otherName }] : []),
    ];
    const choose = (id: string) => {
        const chosen = id === 'none' ? null : Number(id);
        const name = options.find((option) => option.id === id)?.name ?? '';
        onChange(row.isCompany ? { contactId: chosen, contactName: name } : { viaId: chosen, viaName: name });
    };
    return (
        <FieldGroup>
            <legend>{row.partyName}</legend>
            {missing !== undefined && <Mark tone="stop">{missing}</Mark>}
            <FieldRow $foot>
                <ChooseOne
                    label="as"
                    width="word"
                    options={byNumber(roles)}
                    value={String(row.roleId)}
                    onChange={(id) => onChange({ roleId: Number(id) })}
                    problem={problemAt('roleId')}
                />
                {options.length > 1 && (
                    <ChooseOne
                        label={row.isCompany ? 'Ask for' : 'Acts through'}
                        width="name"
                        options={options}
                        value={other === null ? 'none' : String(other)}
                        onChange={choose}
                        problem={problemAt(row.isCompany ? 'contactId' : 'viaId')}
                    />
                )}
                <Field label="Pays, %" width="mark" value={row.share} onChange={(share) => onChange({ share })} problem={problemAt('share')} />
                <Field label="Since" width="code" value={row.since} onChange={(since) => onChange({ since })} problem={problemAt('since')} />
                <Field label="Until" width="code" value={row.until} onChange={(until) => onChange({ until })} problem={problemAt('until')} />
            </FieldRow>
            <FieldRow $foot>
                <Field label="Note" width="line" value={row.note} onChange={(note) => onChange({ note })} problem={problemAt('note')} />
                <Tick isSelected={row.isMailed} onChange={(isMailed) => onChange({ isMailed })}>letters go there</Tick>
                <Button aria-label={`Remove ${row.partyName}`} onPress={onRemove}>
                    <X size={16} aria-hidden />
                    Remove
                </Button>
            </FieldRow>
        </FieldGroup>
    );
}

function ReplaceDialog({ engagement, one, onClose }: { engagement: EngagementData; one: Party; onClose: () => void }) {
    const [party, setParty] = useState<Schemas['PartyRow']>();
    const [from, setFrom] = useState('');
    const { run, problems, message } = useSaving();
    const act = useSubjectAction();
    const say = useSay();
    return (
        <Dialog title={`Replace ${one.party.displayName} as ${one.role}`} onClose={onClose} isWide>
            <Form
                onSubmit={(event) => {
                    event.preventDefault();
                    void run(async () => {
                        await act(() => ask(api.POST('/api/engagements/{engagement}/parties/{inRole}/replace', {
                            params: { path: { engagement: engagement.row.id, inRole: one.id } },
                            body: { partyId: party?.id ?? one.party.id, from },
                        })));
                        say(`${party?.displayName ?? ''} is the ${one.role} from then on.`);
                        onClose();
                    });
                }}
            >
                <p>{one.party.displayName} keeps the role until the day before.</p>
                {party === undefined
                    ? <RecordPicker label="Who follows?" onPick={setParty} />
                    : <Row $gap="small"><strong>{party.displayName}</strong><QuietButton onPress={() => setParty(undefined)}>Somebody else</QuietButton></Row>}
                {problems.partyId !== undefined && <Mark tone="stop">{problems.partyId}</Mark>}
                <Field label="From" width="day" placeholder="today" value={from} onChange={setFrom} problem={problems.from} />
                {message !== undefined && <Notice tone="stop" title="Not replaced">{message}</Notice>}
                <DialogButtons>
                    <MainButton type="submit">Replace</MainButton>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}
