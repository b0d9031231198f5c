import { X } from 'lucide-react';
import { useState } from 'react';
import { Button, QuietButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { FieldRow, Mark, Quiet, Row, Stack } from '../../ui/Text';
import { RecordPicker } from '../../shared/RecordPicker';
import { newKey } from './sections/spec';

/** A company that is in the book, or, without a number, one that is added with the person. */
export interface Employer {
    id?: number;
    name: string;
}

interface EmployerProps {
    employer: Employer | undefined;
    onEmployer: (employer: Employer | undefined) => void;
    title: string;
    onTitle: (title: string) => void;
    problem: string | undefined;
    titleProblem: string | undefined;
}

/** Where a new person works: a company that is picked, or added on the way. */
export function EmployerFields({ employer, onEmployer, title, onTitle, problem, titleProblem }: EmployerProps) {
    return (
        <>
            {employer === undefined ? (
                <RecordPicker
                    label="Works at which company?"
                    kind="company"
                    takesFocus={false}
                    onPick={({ id, displayName }) => onEmployer({ id, name: displayName })}
                    onAdd={(name) => onEmployer({ name })}
                />
            ) : (
                <FieldRow $foot>
                    <Row $gap="small">
                        <span>Works at {employer.name}</span>
                        {employer.id === undefined && <Quiet>added to the book with the person</Quiet>}
                        <QuietButton onPress={() => onEmployer(undefined)}>Somewhere else</QuietButton>
                    </Row>
                    <Field
                        label="Title there"
                        width="phrase"
                        placeholder="Site manager"
                        value={title}
                        onChange={onTitle}
                        problem={titleProblem}
                    />
                </FieldRow>
            )}
            {problem !== undefined && <Mark tone="stop">{problem}</Mark>}
        </>
    );
}

export interface NewPerson {
    key: string;
    name: string;
    title: string;
}

interface PeopleProps {
    people: NewPerson[];
    onChange: (people: NewPerson[]) => void;
    problems: Record<string, string>;
}

/** Who works at a new company: added with it, each with a position and its address by link. */
export function PeopleFields({ people, onChange, problems }: PeopleProps) {
    const [isFirst, setFirst] = useState(true);
    const change = (index: number, part: Partial<NewPerson>) => onChange(people.map((one, at) => at === index ? { ...one, ...part } : one));
    // Problems come by the place among those that were sent.
    const sent = people.filter(({ name }) => name.trim() !== '');
    return (
        <Stack $gap="small" $wide>
            {people.map((person, index) => (
                <FieldRow key={person.key} $foot>
                    <Field
                        label="Person there"
                        width="phrase"
                        autoFocus={!isFirst}
                        placeholder="Dr. Ada Finch"
                        value={person.name}
                        onChange={(name) => change(index, { name })}
                        problem={problems[`people.${sent.indexOf(person)}.name`]}
                    />
                    <Field
                        label="Title"
                        width="name"
                        placeholder="Site manager"
                        value={person.title}
                        onChange={(title) => change(index, { title })}
                        problem={problems[`people.${sent.indexOf(person)}.title`]}
                    />
                    <QuietButton
                        aria-label={`Remove ${person.name || 'this person'}`}
                        onPress={() => onChange(people.filter((_, at) => at !== index))}
                    >
                        <X size={16} aria-hidden />
                    </QuietButton>
                </FieldRow>
            ))}
            <Button
                onPress={() => {
                    setFirst(false);
                    onChange([...people, { key: newKey(), name: '', title: '' }]);
                }}
            >
                Add a person there
            </Button>
        </Stack>
    );
}
