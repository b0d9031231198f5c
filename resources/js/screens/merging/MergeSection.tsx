import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { QuietButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Radios } from '../../ui/Radios';
import { Chips, Facts, Heading, Quiet, Row, Small, Stack } from '../../ui/Text';
import { withFirst, type Decided } from './decided';

type Side = Schemas['MergeSide'];

interface Props {
    section: Schemas['MergeSection'];
    sides: Side[];
    decided: Decided;
    onDecide: (decided: Decided) => void;
}

/** What a section says of the record that several become. */
export function MergeSection({ section, sides, decided, onDecide }: Props) {
    return (
        <Stack as="section" $gap="small" $stretch aria-label={section.title}>
            <Heading>{section.title}</Heading>
            <Values section={section} sides={sides} decided={decided} onDecide={onDecide} />
            {section.members.map(({ title, names }) => (
                <Facts key={title}>
                    <div><dt>{title}</dt><dd><Chips>{names.map((name) => <li key={name}>{name}</li>)}</Chips></dd></div>
                </Facts>
            ))}
            <Lines section={section} sides={sides} decided={decided} onDecide={onDecide} />
        </Stack>
    );
}

/** What can be said once: chosen where they do not agree, struck where only one says anything and is wrong. */
function Values({ section: { values }, sides, decided, onDecide }: Props) {
    const choose = (part: string, id: number) => onDecide({ ...decided, chosen: { ...decided.chosen, [part]: id } });
    const chosen = ({ part, offers, chosenId }: Value) => firstSaying(offers, decided.chosen[part] ?? chosenId);
    const agreed = values.filter(({ isOpen }) => !isOpen);
    return (
        <>
            {values.filter((value) => value.isOpen && said(value).length > 1).map((value) => (
                <Radios
                    key={value.part}
                    label={value.title}
                    value={String(chosen(value))}
                    onChange={(id) => choose(value.part, Number(id))}
                    options={value.offers.filter(({ partyId, sameAsId }) => partyId === sameAsId).map(({ partyId, text }) => ({
                        id: String(partyId),
                        name: text === '' ? 'nothing' : text,
                        note: [whose(sides, value, partyId), ...(partyId === value.proposedId ? [value.why] : [])].join(', '),
                    }))}
                />
            ))}
            {values.filter((value) => value.isOpen && said(value).length === 1).map((value) => {
                const [only] = said(value);
                const nothing = value.offers.find(({ text }) => text === '');
                return only === undefined || nothing === undefined ? null : (
                    <Kept
                        key={value.part}
                        what={`${value.title}: ${only.text}`}
                        note={`only ${whose(sides, value, only.partyId)} says so`}
                        isKept={chosen(value) === only.partyId}
                        onKeep={(isKept) => choose(value.part, isKept ? only.partyId : nothing.partyId)}
                    />
                );
            })}
            {agreed.length > 0 && (
                <Facts>{agreed.map(({ part, title, text }) => <div key={part}><dt>{title}</dt><dd>{text}</dd></div>)}</Facts>
            )}
        </>
    );
}

type Value = Schemas['MergeValue'];

/** What they say, each once, without those who say nothing. */
export function said({ offers }: Value): Schemas['MergeOffer'][] {
    return offers.filter(({ text, partyId, sameAsId }) => text !== '' && partyId === sameAsId);
}

/** Whose a value is, by their numbers. */
function whose(sides: Side[], { offers }: Value, id: number): string {
    return numbers(sides, offers.filter(({ sameAsId }) => sameAsId === id).map(({ partyId }) => partyId));
}

interface KeptProps {
    what: string;
    note: string;
    isKept: boolean;
    onKeep: (isKept: boolean) => void;
    children?: ReactNode;
}

/** Something that stays or is struck. */
function Kept({ what, note, isKept, onKeep, children }: KeptProps) {
    return (
        <Row $gap="small">
            <Tick label={`Keep ${what}`} isSelected={isKept} onChange={onKeep} />
            <span>{isKept ? what : <del>{what}</del>} <Small>{note}</Small></span>
            {children}
        </Row>
    );
}

function firstSaying(offers: Schemas['MergeOffer'][], id: number): number {
    return offers.find(({ partyId }) => partyId === id)?.sameAsId ?? id;
}

function numbers(sides: Side[], ids: number[]): string {
    return sides.filter(({ id }) => ids.includes(id)).map(({ number }) => `no. ${number}`).join(' and ');
}

/** What can be said several times: kept or struck, called, and one first of its kind. */
function Lines({ section: { lines }, sides, decided, onDecide }: Props) {
    const set = (line: Schemas['MergeLine'], part: Partial<Decided['lines'][string]>) => onDecide({
        ...decided,
        lines: { ...decided.lines, [line.part]: { ...decided.lines[line.part], isKept: line.isKept, ...part } },
    });
    return (
        <>
            {lines.map((line) => {
                const isKept = decided.lines[line.part]?.isKept ?? line.isKept;
                const what = `${line.title} ${line.text}`;
                return (
                    <Kept
                        key={line.part}
                        what={what}
                        note={[
                            numbers(sides, [line.partyId]),
                            ...(isKept ? [] : [line.isDouble ? 'a double: what it says besides goes to the other' : 'struck: kept in the history only']),
                        ].join(', ')}
                        isKept={isKept}
                        onKeep={(to) => set(line, { isKept: to })}
                    >
                        {isKept && line.label !== null && (
                            <Field
                                label=""
                                aria-label={`What ${line.text} is called`}
                                width="code"
                                value={decided.lines[line.part]?.label ?? line.label}
                                onChange={(label) => set(line, { label })}
                            />
                        )}
                        {isKept && line.isPrimary === false && (
                            <QuietButton aria-label={`Put ${what} first`} onPress={() => onDecide(withFirst(decided, lines, line))}>
                                Put it first
                            </QuietButton>
                        )}
                        {isKept && line.isPrimary === true && lines.length > 1 && <Quiet>comes first</Quiet>}
                    </Kept>
                );
            })}
        </>
    );
}
