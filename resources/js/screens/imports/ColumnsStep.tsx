import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { importColumnsQuery, importQuery, forget, keepAnswer } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne, ChooseSeveral, Tick, asOptions, type Option } from '../../ui/Choose';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Form } from '../../ui/Form';
import { Table, TableScroll } from '../../ui/Table';
import { FieldRow, Heading, Mark, Notice, Quiet, Row, Small, Stack } from '../../ui/Text';
import { Unread } from '../../ui/Unread';

type Columns = Schemas['ImportColumns'];
type Chosen = Schemas['ImportColumnsInput'];

/** A column that is left out is something too. */
const OUT = 'none';

const EXISTING: Option<Chosen['existing']>[] = [
    { id: 'fill', name: 'Fill what is empty' },
    { id: 'take-over', name: 'Take over what the file says' },
    { id: 'leave', name: 'Leave them as they are' },
];
const KINDS = [
    { id: 'told', name: 'told by their names' },
    { id: 'person', name: 'people' },
    { id: 'company', name: 'companies' },
] as const;
const CONTENTS: Option<Schemas['Import']['of']>[] = [{ id: 'records', name: 'people and companies' }, { id: 'documents', name: 'documents' }];
const DAYS = [{ id: 'month', name: '3/4 is March 4' }, { id: 'day', name: '3/4 is 3 April' }] as const;
const ROLES: Option<'client' | 'vendor'>[] = [{ id: 'client', name: 'clients' }, { id: 'vendor', name: 'vendors' }];
const SIGNS: Option<Chosen['decimalSign']>[] = [{ id: '.', name: '1,250.50' }, { id: ',', name: '1.250,50' }];

/** What was said so that the file is read anew. */
export type ReadBy = 'sheet' | 'hasHeadings' | 'of';

interface Props {
    one: Schemas['Import'];
    /** The field that has the keyboard again, when the file was read anew for it. */
    readBy: ReadBy | undefined;
    onRead: (by: ReadBy | undefined) => void;
    onDone: () => void;
}

/** What the columns of a file are, and how it is read. */
export function ColumnsStep(props: Props) {
    const { one } = props;
    const { data, error, refetch, isFetchedAfterMount } = useQuery(importColumnsQuery(one.id));
    // What was known of another sheet, or before it was said what is in it, is not what is asked now.
    if (data === undefined || !isFetchedAfterMount) {
        return error === null ? <Quiet>Reading its columns …</Quiet> : <Unread what="Its columns" error={error} retry={() => void refetch()} />;
    }
    return <Matching {...props} columns={data} />;
}

function Matching({ one, columns, readBy, onRead, onDone }: Props & { columns: Columns }) {
    const [chosen, setChosen] = useState<Chosen>({
        sheet: columns.sheet,
        hasHeadings: columns.hasHeadings,
        targets: columns.columns.map(({ target }) => target),
        isMonthFirst: columns.isMonthFirst,
        decimalSign: columns.decimalSign,
        existing: columns.existing,
        takesNewWords: columns.takesNewWords,
        kind: columns.kind,
        roles: columns.roles.filter((role): role is 'client' | 'vendor' => role === 'client' || role === 'vendor'),
    });
    const saving = useSaving();
    const set = (change: Partial<Chosen>) => setChosen((before) => ({ ...before, ...change }));
    const check = (changes: Partial<Pick<Chosen, ReadBy>> = {}) => saving.run(async () => {
        const answer = await ask(api.PUT('/api/imports/{import}/columns', {
            params: { path: { import: one.id } }, body: { ...chosen, ...changes },
        }));
        // Before what it answers takes the place of this.
        onRead(Object.keys(changes).at(0) as ReadBy | undefined);
        keepAnswer(importQuery(one.id).queryKey, answer);
        await forget(['imports', one.id, 'lines'], ['imports', one.id, 'columns']);
        onDone();
    });
    const left = columns.columns.filter(({ filled }, at) => filled > 0 && chosen.targets[at] === '').length;
    const isOfRecords = one.of === 'records';
    const isOf = (pattern: RegExp) => chosen.targets.some((target) => pattern.test(target));

    return (
        <Form $stretch onSave={() => check()} onSubmit={(event) => { event.preventDefault(); void check(); }}>
            <Stack $gap="large" $stretch>
                {columns.isTable && (
                    <Stack $stretch as="section" aria-labelledby="columns">
                        <Row $apart>
                            <Heading id="columns">What the columns are</Heading>
                            <Quiet>
                                {one.lines.toLocaleString('en')} lines.{' '}
                                {left === 0 ? 'Every column is understood.' : `${left} of ${columns.columns.length} columns are left out.`}
                            </Quiet>
                        </Row>
                        <ColumnTable
                            columns={columns} chosen={chosen.targets} isOfRecords={isOfRecords}
                            onChoose={(targets) => set({ targets })}
                        />
                        {saving.problems.targets !== undefined && <Mark tone="stop">{saving.problems.targets}</Mark>}
                        <FieldRow>
                            {columns.sheets.length > 1 && (
                                <ChooseOne
                                    label="Sheet" width="name" options={asOptions(columns.sheets)} value={chosen.sheet}
                                    takesFocus={readBy === 'sheet'} onChange={(sheet) => void check({ sheet })}
                                />
                            )}
                            <Tick
                                isSelected={chosen.hasHeadings} takesFocus={readBy === 'hasHeadings'}
                                onChange={(hasHeadings) => void check({ hasHeadings })}
                            >
                                The first line names the columns
                            </Tick>
                        </FieldRow>
                    </Stack>
                )}
                <Stack $stretch as="section" aria-labelledby="choices">
                    <Heading id="choices">How it is taken</Heading>
                    <FieldRow>
                        {columns.isTable && (
                            <ChooseOne
                                label="What is in it" width="name" options={CONTENTS} value={one.of} takesFocus={readBy === 'of'}
                                onChange={(of) => of !== one.of && void check({ of })}
                            />
                        )}
                        {isOfRecords && (
                            <ChooseOne
                                label="Who is in the book already" width="phrase" options={EXISTING} value={chosen.existing}
                                onChange={(existing) => set({ existing })}
                            />
                        )}
                        {isOfRecords && (
                            <ChooseOne
                                label="Lines that do not say are" width="name" options={KINDS} value={chosen.kind ?? 'told'}
                                onChange={(kind) => set({ kind: kind === 'told' ? null : kind })}
                            />
                        )}
                        {isOf(/^(birth-date|deceased|form-on|balance-on|detail|date$|due$)/) && (
                            <ChooseOne
                                label="Dates" width="name" options={DAYS} value={chosen.isMonthFirst ? 'month' : 'day'}
                                onChange={(order) => set({ isMonthFirst: order === 'month' })}
                            />
                        )}
                        {isOf(/^(receivable|payable|client-limit|vendor-limit|detail|amount$|quantity$)/) && (
                            <ChooseOne
                                label="Amounts" width="word" options={SIGNS} value={chosen.decimalSign}
                                onChange={(decimalSign) => set({ decimalSign })}
                            />
                        )}
                    </FieldRow>
                    {columns.areDaysAmbiguous && (
                        <Mark tone="look">Its dates could be read either way. Look at one, and say which number is the month.</Mark>
                    )}
                    {isOfRecords && <ChooseSeveral label="All of them are" options={ROLES} value={chosen.roles} onChange={(roles) => set({ roles })} />}
                    {isOf(/^types/) && (
                        <Tick isSelected={chosen.takesNewWords} onChange={(takesNewWords) => set({ takesNewWords })}>
                            Add types that are not in the office’s list
                        </Tick>
                    )}
                </Stack>
                {saving.message !== undefined && <Notice tone="stop" title={saving.message} />}
                <Row $gap="small">
                    <MainButton type="submit">{isOfRecords ? 'Check the lines' : 'Check the documents'}</MainButton>
                    {one.state === 'checked' && <QuietButton onPress={onDone}>{isOfRecords ? 'Back to the lines' : 'Back to the documents'}</QuietButton>}
                    <Small>Nothing is imported yet.</Small>
                </Row>
            </Stack>
        </Form>
    );
}

interface TableProps {
    columns: Columns;
    chosen: string[];
    isOfRecords: boolean;
    onChoose: (targets: string[]) => void;
}

function ColumnTable({ columns, chosen, isOfRecords, onChoose }: TableProps) {
    // The same list as long as nothing is other: somebody may be typing into one of the fields.
    const options = useMemo(() => optionsOf(columns, chosen, isOfRecords), [columns, chosen, isOfRecords]);
    return (
        <TableScroll>
            <Table>
                <thead><tr><th>In the file</th><th>For example</th><th>What it is</th></tr></thead>
                <tbody>
                    {columns.columns.map(({ heading, samples, filled }, at) => (
                        <tr key={at}>
                            <td className="words"><strong>{heading}</strong></td>
                            <td className="words">{filled === 0 ? <Quiet>empty</Quiet> : <Small>{samples.join(' · ')}</Small>}</td>
                            <td>
                                <ChooseFromMany
                                    label={`What ${heading} is`} isLabelHidden width="wide" options={options} value={chosen[at] === '' ? OUT : chosen[at] ?? OUT}
                                    onChange={(target) => onChoose(chosen.map((one, other) => (other === at ? (target === OUT ? '' : target) : one)))}
                                />
                            </td>
                        </tr>
                    ))}
                </tbody>
            </Table>
        </TableScroll>
    );
}

function optionsOf(columns: Columns, chosen: string[], isOfRecords: boolean): Option[] {
    const titles = new Map(columns.targets.map(({ target, title }) => [target, title]));
    return [
        { id: OUT, name: 'left out' },
        ...columns.targets.map(({ target, title, group }) => ({ id: target, name: group === 'Own fields' ? `${title} (own field)` : title })),
        // What was understood of a heading, and stands in no list.
        ...chosen.filter((target, at) => target !== '' && !titles.has(target) && chosen.indexOf(target) === at)
            .map((target) => ({ id: target, name: named(target, titles) })),
        ...(isOfRecords ? columns.columns : []).map(({ heading }) => ({ id: `code:${heading}`, name: `Number elsewhere, ${heading}` }))
            .filter(({ id }) => !chosen.includes(id)),
    ];
}

function named(target: string, titles: Map<string, string>): string {
    const at = target.indexOf(':');
    const key = at < 0 ? target : target.slice(0, at);
    return `${titles.get(key) ?? key}, ${target.slice(at + 1)}`;
}
