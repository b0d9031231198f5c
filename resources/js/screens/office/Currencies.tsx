import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { Button, QuietButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { FieldRow, Small } from '../../ui/Text';
import { BookItems, BookSection, useKeep } from './BooksSection';

/** What other currencies are worth in the office's own. */
export function Currencies({ books }: { books: Schemas['Books'] }) {
    const [isAdding, setAdding] = useState(false);
    const [draft, setDraft] = useState({ currency: '', day: '', rate: '' });
    const { keep, problems, message } = useKeep();
    return (
        <BookSection title="Currencies">
            <Small>
                Ours is {books.currency}. Others need a rate: what one unit is worth in {books.currency}, from a day until the next rate.
            </Small>
            <BookItems>
                {books.rates.map(({ id, currency, dayText, rate }) => (
                    <li key={id}>
                        <span>1 {currency} = {rate} {books.currency}</span>
                        <Small>from {dayText}</Small>
                        <QuietButton
                            aria-label={`Remove the rate of ${currency} from ${dayText}`}
                            onPress={() =>
                                void keep(
                                    () => ask(api.DELETE('/api/currency-rates/{currencyRate}', { params: { path: { currencyRate: id } } })),
                                    'Rate removed.',
                                )
                            }
                        >
                            Remove
                        </QuietButton>
                    </li>
                ))}
            </BookItems>
            {isAdding ? (
                <Form
                    aria-label="New rate"
                    onLeave={() => setAdding(false)}
                    onSubmit={(event) => {
                        event.preventDefault();
                        void keep(
                            () => ask(api.POST('/api/currency-rates', { body: draft })),
                            'Rate added.',
                            () => setDraft({ currency: '', day: '', rate: '' }),
                        );
                    }}
                >
                    <FieldRow $foot>
                        <Field
                            label="Currency"
                            autoFocus
                            width="figure"
                            placeholder="EUR"
                            value={draft.currency}
                            onChange={(currency) => setDraft({ ...draft, currency })}
                            problem={problems.currency}
                        />
                        <Field
                            label={`Worth in ${books.currency}`}
                            width="code"
                            placeholder="1.0842"
                            value={draft.rate}
                            onChange={(rate) => setDraft({ ...draft, rate })}
                            problem={problems.rate ?? message}
                        />
                        <Field
                            label="From"
                            width="code"
                            placeholder="today"
                            value={draft.day}
                            onChange={(day) => setDraft({ ...draft, day })}
                            problem={problems.day}
                        />
                        <Button type="submit">Add this rate</Button>
                        <QuietButton onPress={() => setAdding(false)}>Close</QuietButton>
                    </FieldRow>
                </Form>
            ) : (
                <div>
                    <Button data-edit onPress={() => setAdding(true)}>
                        Add a rate
                    </Button>
                </div>
            )}
        </BookSection>
    );
}
