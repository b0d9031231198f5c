import { Building2, User } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { addCompanyByName, addPersonByName } from '../../api/addByName';
import type { Schemas } from '../../api/client';
import { Button, QuietButton } from '../../ui/Button';
import { useSay } from '../../ui/StatusLine';
import { LongList } from '../../ui/LongList';
import { Quiet, Row, Small, Stack } from '../../ui/Text';
import { size, space, type } from '../../ui/tokens';
import { ClosedRow } from '../../shared/section/ClosedRow';
import { PositionFields } from './PositionFields';
import { RecordPicker } from '../../shared/RecordPicker';
import { ReplaceDialog } from './ReplaceDialog';
import { SectionFrame } from '../../shared/section/SectionFrame';
import { positionsSpec, type PositionRow } from './sections/positions';
import { newKey, type RecordData } from './sections/spec';
import { useMayEdit } from './useMayEdit';
import { useOpenRows } from '../../shared/section/useOpenRows';
import { useSection } from './useSection';

type PositionData = RecordData['positions']['positions'][number];

const Line = styled.div`
    display: grid;
    grid-template-columns: ${size.icon} minmax(0, 1fr);
    gap: 0 ${space.small};
    width: 100%;
    padding-bottom: ${space.small};
    > svg { margin-top: ${space.tight}; color: var(--quiet); }
    a.name { font-family: ${type.serif}; font-weight: 500; }
`;

function positionOf(party: Schemas['PartyRow'], isPrimary: boolean): PositionRow {
    return {
        key: newKey(), id: null, partyId: party.id, partyName: party.displayName,
        title: '', department: '', duties: [], firstFor: [], isPrimary, since: '', until: '',
    };
}

export function PositionsSection({ record }: { record: RecordData }) {
    const edit = useSection(record, positionsSpec);
    const { positions } = record.positions;
    const isPerson = record.party.kind === 'person';
    const mayEdit = useMayEdit(record);

    return (
        <SectionFrame
            edit={edit}
            saveLabel={isPerson ? 'Save positions' : 'Save people'}
            folded={isPerson && positions.length === 0 ? 'No position at a company.' : undefined}
            read={(
                <>
                    {positions.length === 0 && <Quiet>{isPerson ? 'No position at a company.' : 'Nobody is known here yet.'}</Quiet>}
                    <LongList
                        items={positions}
                        noun={isPerson ? 'positions' : 'people'}
                        render={(position) => <PositionView key={position.id} record={record} position={position} />}
                    />
                    {!isPerson && mayEdit && (
                        <AddPersonHere
                            record={record}
                            onPick={(party) => edit.beginWith((rows) => [...rows, positionOf(party, rows.length === 0)])}
                        />
                    )}
                </>
            )}
            fields={(draft) => <PositionList record={record} rows={draft} problems={edit.problems} onChange={edit.change} />}
        />
    );
}

function PositionView({ record, position }: { record: RecordData; position: PositionData }) {
    const [isReplacing, setReplacing] = useState(false);
    const mayEdit = useMayEdit(record);
    const { party, period } = position;
    const Sign = party.kind === 'person' ? User : Building2;
    const notes = [
        position.department,
        ...position.duties.map((duty) => (position.firstFor.includes(duty) ? `first for ${duty}` : duty)),
        position.isPrimary && 'primary',
        period.text,
    ];
    return (
        <Line>
            <Sign size={15} aria-label={party.kind} />
            <Row $gap="small">
                <Link className="name" to={`/records/${party.id}`}>{party.displayName}</Link>
                <span>{position.title}</span>
                <Small>{notes.filter(Boolean).join(', ')}</Small>
                {!period.isInForce && <Small>not today</Small>}
            </Row>
            <span />
            <Row $gap="small">
                <Small>{[party.phone, party.email].filter((text) => text !== '').join(' · ')}</Small>
                {mayEdit && party.kind === 'person' && period.isInForce && (
                    <QuietButton aria-label={`Replace ${party.displayName}`} onPress={() => setReplacing(true)}>Replace</QuietButton>
                )}
            </Row>
            {isReplacing && <ReplaceDialog position={position} onClose={() => setReplacing(false)} />}
        </Line>
    );
}

/** From a company's page: a new person, tied to it from the start. */
function AddPersonHere({ record, onPick }: { record: RecordData; onPick: (party: Schemas['PartyRow']) => void }) {
    const [isAdding, setAdding] = useState(false);
    const navigate = useNavigate();
    const path = (name: string) => `/add/person?name=${encodeURIComponent(name)}&company=${record.party.id}`;

    if (!isAdding) {
        return <Button onPress={() => setAdding(true)}>Add a person here</Button>;
    }
    return (
        <RecordPicker
            label="Who works here?"
            kind="person"
            onPick={onPick}
            onAdd={(name) => void navigate(path(name))}
            onLeave={() => setAdding(false)}
        />
    );
}

interface ListProps {
    record: RecordData;
    rows: PositionRow[];
    problems: Record<string, string>;
    onChange: (rows: PositionRow[]) => void;
}

function PositionList({ record, rows, problems, onChange }: ListProps) {
    const isPerson = record.party.kind === 'person';
    const say = useSay();
    const { isOpen, open } = useOpenRows(rows, problems, 'positions');

    /** Whoever is not in the book yet gets a record with just the name; the rest comes on its own page. */
    const addByName = async (name: string) => {
        try {
            const party = isPerson ? await addCompanyByName(name) : await addPersonByName(name);
            say(`${party.displayName} added, with just the name.`);
            onChange([...rows, positionOf(party, rows.length === 0)]);
        } catch (error) {
            say(`Not added. ${(error as Error).message}`);
        }
    };

    return (
        <Stack $wide>
            {rows.map((row, index) =>
                !isOpen(index) ? (
                    <ClosedRow
                        key={row.key}
                        name={row.partyName}
                        notes={[row.title, ...row.duties].filter(Boolean).join(', ')}
                        onOpen={() => open(row.key)}
                        onRemove={() => onChange(rows.filter((_, at) => at !== index))}
                    />
                ) : (
                    <PositionFields
                        key={row.key}
                        row={row}
                        isAtCompany={!isPerson}
                        shared={
                            isPerson
                                ? row.duties
                                : row.duties.filter((duty) => rows.some((other) => other !== row && other.duties.includes(duty)))
                        }
                        problemAt={(field) => problems[`positions.${index}.${field}`]}
                        onChange={(part) => onChange(rows.map((other, at) => (at === index ? { ...other, ...part } : other)))}
                        onMakePrimary={(isPrimary) =>
                            onChange(
                                rows.map((other, at) => ({
                                    ...other,
                                    isPrimary: at === index ? isPrimary : !isPerson && isPrimary ? false : other.isPrimary,
                                })),
                            )
                        }
                        onRemove={() => onChange(rows.filter((_, at) => at !== index))}
                    />
                ),
            )}
            <RecordPicker
                label={isPerson ? 'Add a position at which company?' : 'Add which person?'}
                kind={isPerson ? 'company' : 'person'}
                onPick={(party) => onChange([...rows, positionOf(party, rows.length === 0)])}
                onAdd={(name) => void addByName(name)}
            />
        </Stack>
    );
}
