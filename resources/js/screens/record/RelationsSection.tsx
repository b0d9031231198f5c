import { useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { Link } from 'react-router';
import { addPersonByName } from '../../api/addByName';
import type { Schemas } from '../../api/client';
import { likelyRelationsQuery } from '../../api/queries';
import { useTitles } from '../../shared/titles';
import { Button } from '../../ui/Button';
import { asOptions, ChooseOne } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { useSay } from '../../ui/StatusLine';
import { FieldGroup, FieldRow, Mark, Quiet, Row, Small, Stack } from '../../ui/Text';
import { useFocusOnAdded } from '../../ui/useFocusOnAdded';
import { RecordPicker } from '../../shared/RecordPicker';
import { SectionFrame } from '../../shared/section/SectionFrame';
import { SharedReach } from './SharedReach';
import { relationsSpec, type RelationRow } from './sections/relations';
import { newKey, type RecordData } from './sections/spec';
import { useSection } from './useSection';

type Party = Schemas['PartyRow'];

/** What others are to this person or company; each of them shows the same from its end. */
export function RelationsSection({ record }: { record: RecordData }) {
    const edit = useSection(record, relationsSpec);
    const { relations } = record.relations;

    return (
        <SectionFrame
            edit={edit}
            saveLabel="Save relations"
            folded={relations.length === 0 ? 'No relations yet.' : undefined}
            read={relations.map(({ id, kind, party, period }) => (
                <Row key={id} $gap="small">
                    <Quiet>{kind}</Quiet>
                    <Link to={`/records/${party.id}`}>{party.displayName}</Link>
                    <Small>{[period.text, !period.isInForce && 'not today', party.phone].filter(Boolean).join(' · ')}</Small>
                </Row>
            ))}
            fields={(draft) => <RelationList record={record} rows={draft} problems={edit.problems} onChange={edit.change} />}
        />
    );
}

interface ListProps {
    record: RecordData;
    rows: RelationRow[];
    problems: Record<string, string>;
    onChange: (rows: RelationRow[]) => void;
}

function RelationList({ record, rows, problems, onChange }: ListProps) {
    const together = useTitles('together');
    const say = useSay();
    const { data: likely } = useQuery(likelyRelationsQuery(record.party.id));
    const kinds = asOptions(record.relations.kinds);
    const change = (index: number, part: Partial<RelationRow>) => onChange(rows.map((row, at) => at === index ? { ...row, ...part } : row));
    const { list, noteAdded } = useFocusOnAdded();
    const add = (party: Pick<Party, 'id' | 'displayName'>) => {
        noteAdded();
        onChange([
            ...rows,
            {
                key: newKey(),
                id: null,
                partyId: party.id,
                partyName: party.displayName,
                kind: record.relations.kinds[0] ?? '',
                together: 'alone',
                address: 'own',
                addressId: null,
                phone: 'own',
                since: '',
                until: '',
            },
        ]);
    };

    /** Somebody who is not in the book yet gets a record with just the name. */
    const addByName = async (typed: string) => {
        try {
            const party = await addPersonByName(typed);
            say(`${party.displayName} added, with just the name.`);
            add(party);
        } catch (error) {
            say(`Not added. ${(error as Error).message}`);
        }
    };

    return (
        <Stack ref={list} $wide>
            {rows.map((row, index) => {
                const problemAt = (field: string) => problems[`relations.${index}.${field}`];
                const missing = problemAt('partyId');
                return (
                    <FieldGroup key={row.key}>
                        <legend>{row.partyName}</legend>
                        {missing !== undefined && <Mark tone="stop">{missing}</Mark>}
                        <FieldRow $foot>
                            <ChooseOne
                                label="is their"
                                width="word"
                                options={kinds}
                                value={row.kind}
                                onChange={(kind) => change(index, { kind })}
                                problem={problemAt('kind')}
                            />
                            {row.kind === 'spouse' && (
                                <ChooseOne
                                    label="On an envelope"
                                    width="day"
                                    options={together}
                                    value={row.together}
                                    onChange={(chosen) => change(index, { together: chosen })}
                                />
                            )}
                            <Field
                                label="Since"
                                width="code"
                                value={row.since}
                                onChange={(since) => change(index, { since })}
                                problem={problemAt('since')}
                            />
                            <Field
                                label="Until"
                                width="code"
                                value={row.until}
                                onChange={(until) => change(index, { until })}
                                problem={problemAt('until')}
                            />
                            <Button
                                aria-label={`Remove the relation to ${row.partyName}`}
                                onPress={() => onChange(rows.filter((_, at) => at !== index))}
                            >
                                <X size={16} aria-hidden />
                                Remove
                            </Button>
                        </FieldRow>
                        {row.id === null && <SharedReach record={record} row={row} onChange={(part) => change(index, part)} />}
                    </FieldGroup>
                );
            })}
            {likely !== undefined && likely.length > 0 && (
                <Row $gap="small">
                    <Quiet>At the same address, or of the same name:</Quiet>
                    {likely.filter(({ id }) => !rows.some(({ partyId }) => partyId === id)).map((party) => (
                        <Button key={party.id} onPress={() => add(party)}>{party.displayName}</Button>
                    ))}
                </Row>
            )}
            <RecordPicker label="A relation to whom?" onPick={add} onAdd={(name) => void addByName(name)} addsKind="person" />
        </Stack>
    );
}
