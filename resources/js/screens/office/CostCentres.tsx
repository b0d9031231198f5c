import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { useOfficeWords } from '../../shared/officeWords';
import { Button, QuietButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { FieldRow, Quiet, Small } from '../../ui/Text';
import { BookItems, BookSection, useKeep } from './BooksSection';

/** What amounts are reported under, in groups. */
export function CostCentres({ books }: { books: Schemas['Books'] }) {
    const { costCentre: word, costCentres: title } = useOfficeWords();
    const [isAdding, setAdding] = useState(false);
    const [draft, setDraft] = useState({ group: '', name: '' });
    const { keep, problems, message } = useKeep();
    return (
        <BookSection title={title}>
            {books.costCentres.length === 0 && (
                <Quiet>None yet. They stand in groups, such as Department or Region; a line has at most one of each.</Quiet>
            )}
            <BookItems>
                {books.costCentres.map(({ id, group, name, isRetired }) => (
                    <li key={id}>
                        <span>{group}: {name}</span>
                        <Small>{isRetired ? 'retired' : ''}</Small>
                        <QuietButton
                            aria-label={`${isRetired ? 'Offer' : 'Retire'} ${group}: ${name}`}
                            onPress={() =>
                                void keep(
                                    () =>
                                        ask(
                                            api.PUT('/api/cost-centres/{costCentre}', {
                                                params: { path: { costCentre: id } },
                                                body: { group, name, isRetired: !isRetired },
                                            }),
                                        ),
                                    'Saved.',
                                )
                            }
                        >
                            {isRetired ? 'Offer again' : 'Retire'}
                        </QuietButton>
                    </li>
                ))}
            </BookItems>
            {isAdding ? (
                <Form
                    aria-label={`New ${word}`}
                    onLeave={() => setAdding(false)}
                    onSubmit={(event) => {
                        event.preventDefault();
                        void keep(
                            () => ask(api.POST('/api/cost-centres', { body: { ...draft, isRetired: false } })),
                            `Added to the ${word}s.`,
                            () => setDraft({ ...draft, name: '' }),
                        );
                    }}
                >
                    <FieldRow $foot>
                        <Field
                            label="Group"
                            autoFocus
                            width="day"
                            placeholder="Department"
                            value={draft.group}
                            onChange={(group) => setDraft({ ...draft, group })}
                            problem={problems.group}
                        />
                        <Field
                            label="Name"
                            width="name"
                            value={draft.name}
                            onChange={(name) => setDraft({ ...draft, name })}
                            problem={problems.name ?? message}
                        />
                        <Button type="submit">Add this {word}</Button>
                        <QuietButton onPress={() => setAdding(false)}>Close</QuietButton>
                    </FieldRow>
                </Form>
            ) : (
                <div>
                    <Button data-edit onPress={() => setAdding(true)}>
                        Add a {word}
                    </Button>
                </div>
            )}
        </BookSection>
    );
}
