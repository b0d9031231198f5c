import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { forget, importColumnsQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { RecordPicker } from '../../shared/RecordPicker';
import { Button, QuietButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { FieldRow, Mark, Quiet, Row, Small, Stack } from '../../ui/Text';
import { line as rule, space } from '../../ui/tokens';

type Line = Schemas['ImportLine'];
type Said = Schemas['ImportLineInput'];

export const LineList = styled.ul`
    width: 100%;
    margin: 0;
    padding: 0;
    list-style: none;
    > li {
        padding: ${space.small} 0;
        border-top: ${rule.rule};
        overflow-wrap: anywhere;
    }
`;

/** One line of a file: whom it is of, what it would do, and what can be said of it. */
export function ImportLine({ one, line }: { one: Schemas['Import']; line: Line }) {
    const [isPicking, setPicking] = useState(false);
    const saving = useSaving();
    const isOpen = one.state === 'checked';
    const isOfRecords = one.of === 'records';
    const tell = (said: Partial<Said>) => saving.run(async () => {
        await ask(api.PUT('/api/imports/{import}/lines/{line}', {
            params: { path: { import: one.id, line: line.line } },
            body: { cells: [], decision: line.decision, recordId: line.decision === 'record' ? line.record?.id ?? null : null, existing: line.existing, ...said },
        }));
        await forget(['imports', one.id]);
    });
    return (
        <li aria-label={`Line ${line.line}, ${line.name}`}>
            <Stack $gap="tight" $stretch>
                <Row>
                    <Quiet>Line {line.line}</Quiet>
                    <Named one={one} line={line} />
                    {line.record !== null && <Small>{line.record.detail}</Small>}
                    {line.done !== null && <Small>{line.doneText}</Small>}
                </Row>
                {line.message !== '' && <Mark tone={line.done === null ? 'look' : 'stop'}>{line.message}</Mark>}
                <Changes line={line} />
                {line.outcome === 'wrong' && line.problems.length > 0 && (isOpen ? <Mending one={one} line={line} tell={tell} /> : <Wrong one={one} line={line} />)}
                {saving.message !== undefined && <Mark tone="stop">{saving.message}</Mark>}
                {isOpen && (
                    <Row $gap="small">
                        {line.outcome === 'doubtful' && line.candidates.map(({ id, name, detail }) => (
                            <Button key={id} onPress={() => tell({ decision: 'record', recordId: id })}>It is {name} <Small>{detail}</Small></Button>
                        ))}
                        {line.outcome === 'doubtful' && isOfRecords && (
                            <Button onPress={() => tell({ decision: 'new', recordId: null })}>Somebody new</Button>
                        )}
                        {(line.outcome === 'doubtful' || line.outcome === 'new') && (
                            <QuietButton aria-expanded={isPicking} onPress={() => setPicking(!isPicking)}>
                                {isOfRecords ? 'Somebody in the book' : 'Choose whose it is'}
                            </QuietButton>
                        )}
                        {line.outcome === 'changes' && line.existing !== 'take-over' && (
                            <QuietButton onPress={() => tell({ existing: 'take-over' })}>Take over all of it</QuietButton>
                        )}
                        {line.outcome === 'left-out' || line.decision !== null || line.existing !== null
                            ? <QuietButton onPress={() => tell({ decision: null, recordId: null, existing: null })}>As it was</QuietButton>
                            : null}
                        {line.outcome !== 'left-out' && line.outcome !== 'same' && (
                            <QuietButton onPress={() => tell({ decision: 'out', recordId: null })}>Leave it out</QuietButton>
                        )}
                    </Row>
                )}
                {isPicking && (
                    <RecordPicker
                        label={isOfRecords ? `Whom line ${line.line} is of` : `Whose ${line.name} is`}
                        onPick={({ id }) => { setPicking(false); void tell({ decision: 'record', recordId: id }); }}
                        onLeave={() => setPicking(false)}
                    />
                )}
            </Stack>
        </li>
    );
}

/** Whom the line is of; of a document which it is, and whose. */
function Named({ one, line: { name, record, documentId } }: { one: Schemas['Import']; line: Line }) {
    const whose = record !== null && <Link className="name" to={`/records/${record.id}`}>{record.name}</Link>;
    if (one.of === 'records') {
        return whose || <strong>{name}</strong>;
    }
    return <>{documentId === null ? <strong>{name}</strong> : <Link to={`/documents/${documentId}`}>{name}</Link>} {whose}</>;
}

/** What it changes, old beside new; of somebody new what is known of them. */
function Changes({ line }: { line: Line }) {
    if (line.changes.length === 0) {
        return null;
    }
    return (
        <Small>
            {line.changes.map(({ title, from, to }, at) => (
                <span key={at}>
                    {at > 0 && ' · '}
                    <Quiet>{title}</Quiet> {from !== '' && <><del>{from}</del> → </>}{to}
                </span>
            ))}
        </Small>
    );
}

/** What is wrong, each at its own cell, to be mended where it stands. */
function Mending({ one, line, tell }: { one: Schemas['Import']; line: Line; tell: (said: Partial<Said>) => Promise<boolean> }) {
    const { data: columns } = useQuery(importColumnsQuery(one.id));
    const [texts, setTexts] = useState<Record<string, string>>({});
    // Of several things that are wrong with a cell, the last is told.
    const cells = [...new Map(line.problems.map((problem) => [`${problem.line} ${problem.column}`, problem]))];
    const mend = async () => {
        await tell({ cells: cells.map(([key, { line: at, column, text }]) => ({ line: at, column, text: texts[key] ?? text })) });
    };
    return (
        <Form onSave={mend} onSubmit={(event) => { event.preventDefault(); void mend(); }}>
            <FieldRow>
                {cells.map(([key, { line: at, column, text, message }]) => (
                    <Field
                        key={key}
                        label={cellName(columns, column, at, line)}
                        width="phrase"
                        problem={message}
                        value={texts[key] ?? text}
                        onChange={(typed) => setTexts((before) => ({ ...before, [key]: typed }))}
                    />
                ))}
            </FieldRow>
            <Button type="submit">{one.of === 'records' ? 'Mend this line' : 'Mend this document'}</Button>
        </Form>
    );
}

function Wrong({ one, line }: { one: Schemas['Import']; line: Line }) {
    const { data: columns } = useQuery(importColumnsQuery(one.id));
    return (
        <>
            {line.problems.map(({ line: at, column, message }, place) => (
                <Mark key={place} tone="stop">{`${cellName(columns, column, at, line)}: ${message}`}</Mark>
            ))}
        </>
    );
}

/** The heading of a column; with the line, where it is not that on which the document begins. */
function cellName(columns: Schemas['ImportColumns'] | undefined, column: number, at: number, { line }: Line): string {
    const name = columns?.columns[column]?.heading ?? `Column ${column + 1}`;
    return at === line ? name : `${name}, line ${at}`;
}
