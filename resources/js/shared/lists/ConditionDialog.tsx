import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { listFieldsQuery, type ListOf } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton } from '../../ui/Button';
import { asOptions, ChooseOne } from '../../ui/Choose';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Notice, Quiet, Stack } from '../../ui/Text';
import { Unread } from '../../ui/Unread';

type ListField = Schemas['ListField'];

interface Props {
    of: ListOf;
    /** The part that is opened; without one, another is put together. */
    part: Schemas['FilterPart'] | undefined;
    onDone: (text: string) => void;
    onClose: () => void;
}

/** What the values of a type look like, for the line below the field. */
const HINTS: Partial<Record<ListField['type'], string>> = {
    day: 'A day, such as 31 Jan 2026 or +30',
    'several days': 'A day, such as 31 Jan 2026 or +30',
    amount: 'An amount, such as 1,250.50 or EUR 500',
    place: 'A distance from a ZIP code, such as 20 miles of 05301',
};

/** One condition, put together by choosing; the program finds its words. */
export function ConditionDialog({ of, part, onDone, onClose }: Props) {
    const { data: fields, error, refetch } = useQuery(listFieldsQuery(of));
    return (
        <Dialog title={part === undefined ? 'Add a condition' : 'Change a condition'} onClose={onClose}>
            {error !== null && <Unread what="The fields" error={error} retry={() => void refetch()} />}
            {fields !== undefined && <ConditionForm of={of} fields={fields} part={part} onDone={onDone} onClose={onClose} />}
        </Dialog>
    );
}

function ConditionForm({ of, fields, part, onDone, onClose }: Props & { fields: ListField[] }) {
    const [key, setKey] = useState(part?.field ?? '');
    const [operator, setOperator] = useState(part?.operator ?? '');
    const [values, setValues] = useState<string[]>(part?.values ?? []);
    const { run, problems, message } = useSaving();
    const field = fields.find((one) => one.key === key);
    const asked = field?.operators.find((one) => one.operator === operator) ?? field?.operators[0];
    const choices = asked?.choices ?? field?.choices ?? null;
    const count = asked?.operands;
    const hint = asked?.operator === 'inside' ? 'Its corners, such as 42.8N 72.7W to 43.1N 72.4W; or draw it on the map' : field && HINTS[field.type];

    const save = () => run(async () => {
        if (field === undefined || asked === undefined) {
            return;
        }
        const lines = values.slice(0, count ?? values.length).join('\n');
        const query = { field: field.key, operator: asked.operator, values: lines };
        const clause = await ask(api.GET('/api/long-lists/{list}/clause', { params: { path: { list: of }, query } }));
        onDone(clause.text);
    });

    return (
        <Form
            aria-label="Condition"
            $stretch
            isFleeting
            takesFocus
            onSave={save}
            onSubmit={(event) => event.preventDefault()}
            onLeave={onClose}
        >
            <Stack $stretch>
                <ChooseFromMany
                    label="Field"
                    options={fields.map((one) => ({ id: one.key, name: one.title }))}
                    value={key}
                    onChange={(next) => {
                        setKey(next);
                        setOperator('');
                        setValues([]);
                    }}
                    problem={problems.field}
                />
                {field !== undefined && asked !== undefined && (
                    <ChooseOne
                        label="What is asked"
                        options={field.operators.map((one) => ({ id: one.operator, name: one.title }))}
                        value={asked.operator}
                        onChange={(next) => {
                            setOperator(next);
                            setValues([]);
                        }}
                    />
                )}
                {field !== undefined && asked !== undefined && count !== 0 && (
                    choices !== null
                        ? (
                            <Chosen
                                choices={choices}
                                values={values}
                                isSeveral={count === null}
                                onChange={setValues}
                                problem={problems.values}
                            />
                        )
                        : Array.from({ length: count ?? values.filter((value) => value !== '').length + 1 }, (_, at) => (
                            <Field
                                key={at}
                                label={count === 2 ? ['From', 'To'][at] ?? '' : at === 0 ? 'Compared with' : 'or'}
                                value={values[at] ?? ''}
                                onChange={(text) => setValues(Object.assign([...values], { [at]: text }))}
                                problem={at === 0 ? problems.values : undefined}
                            />
                        ))
                )}
                {field !== undefined && count !== 0 && choices === null && hint !== undefined && <Quiet>{hint}</Quiet>}
                {message !== undefined && <Notice tone="stop" title="Not understood">{message}</Notice>}
            </Stack>
            <DialogButtons>
                <MainButton onPress={() => void save()}>{part === undefined ? 'Add' : 'Change'}</MainButton>
                <Button onPress={onClose}>Cancel</Button>
            </DialogButtons>
        </Form>
    );
}

interface ChosenProps {
    choices: string[];
    values: string[];
    isSeveral: boolean;
    onChange: (values: string[]) => void;
    problem: string | undefined;
}

/** One of what can be chosen, or several, a line each. */
function Chosen({ choices, values, isSeveral, onChange, problem }: ChosenProps) {
    const lines = isSeveral ? [...values, ''] : [values[0] ?? ''];
    return (
        <>
            {lines.map((value, at) => (
                <ChooseFromMany
                    key={at}
                    label={at === 0 ? 'Compared with' : 'or'}
                    options={asOptions(choices)}
                    value={value}
                    onChange={(next) => onChange(isSeveral ? Object.assign([...values], { [at]: next }) : [next])}
                    problem={at === 0 ? problem : undefined}
                />
            ))}
        </>
    );
}
