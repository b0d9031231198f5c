import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne, Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { FieldRow, Notice, Quiet, Row, Small } from '../../ui/Text';
import { BookItems, BookSection, useKeep } from './BooksSection';

const SIDES = [{ id: 'client', name: 'on sales' }, { id: 'vendor', name: 'on purchases' }];

/** What amounts are taxed at, each from a day to a day. */
export function TaxRates({ books }: { books: Schemas['Books'] }) {
    const [edited, setEdited] = useState<Schemas['TaxRate'] | 'new'>();
    return (
        <BookSection title="Tax rates">
            {books.taxRates.length === 0 && (
                <Quiet>No rates yet. Each applies for a period: end the old one, and add the new one from the next day.</Quiet>
            )}
            <BookItems>
                {books.taxRates.map((rate) => (
                    <li key={rate.id}>
                        <span>{rate.text}</span>
                        <Small>{rate.isRetired ? 'retired' : rate.side === 'client' ? 'on sales' : 'on purchases'}</Small>
                        <QuietButton aria-label={`Change the rate ${rate.text}`} onPress={() => setEdited(rate)}>Change</QuietButton>
                    </li>
                ))}
            </BookItems>
            {edited === undefined ? (
                <div>
                    <Button data-edit onPress={() => setEdited('new')}>
                        Add a tax rate
                    </Button>
                </div>
            ) : (
                <TaxRateForm
                    key={edited === 'new' ? 'new' : edited.id}
                    rate={edited === 'new' ? undefined : edited}
                    onClose={() => setEdited(undefined)}
                />
            )}
        </BookSection>
    );
}

function TaxRateForm({ rate, onClose }: { rate: Schemas['TaxRate'] | undefined; onClose: () => void }) {
    const { name = '', percent = '', side = 'client', since = '', until = '', isRetired = false } = rate ?? {};
    const [draft, setDraft] = useState<Schemas['TaxRateInput']>({ name, percent, side, since, until, isRetired });
    const { keep, problems, message } = useKeep();
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
    return (
        <Form
            aria-label="Tax rate"
            onLeave={onClose}
            onSubmit={(event) => {
                event.preventDefault();
                void keep(
                    () =>
                        ask(
                            rate === undefined
                                ? api.POST('/api/tax-rates', { body: draft })
                                : api.PUT('/api/tax-rates/{taxRate}', { params: { path: { taxRate: rate.id } }, body: draft }),
                        ),
                    'Tax rate saved.',
                    onClose,
                );
            }}
        >
            <FieldRow>
                <Field
                    label="Name"
                    autoFocus
                    width="name"
                    value={draft.name}
                    onChange={(text) => set({ name: text })}
                    problem={problems.name}
                />
                <Field
                    label="Percent"
                    width="mark"
                    value={draft.percent}
                    onChange={(text) => set({ percent: text })}
                    problem={problems.percent}
                />
                <ChooseOne label="Side" width="day" options={SIDES} value={draft.side} onChange={(id) => set({ side: id as 'client' })} />
                <Field
                    label="From"
                    width="code"
                    placeholder="always"
                    value={draft.since}
                    onChange={(text) => set({ since: text })}
                    problem={problems.since}
                />
                <Field
                    label="Until"
                    width="code"
                    placeholder="no end"
                    value={draft.until}
                    onChange={(text) => set({ until: text })}
                    problem={problems.until}
                />
            </FieldRow>
            {rate !== undefined && (
                <Tick isSelected={draft.isRetired} onChange={(retired) => set({ isRetired: retired })}>
                    retired: offered no more
                </Tick>
            )}
            {message !== undefined && (
                <Notice tone="stop" title="Not saved">
                    {message}
                </Notice>
            )}
            <Row $gap="small">
                <MainButton type="submit">Save this rate</MainButton>
                <Button onPress={onClose}>Cancel</Button>
            </Row>
        </Form>
    );
}
