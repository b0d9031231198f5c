import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { booksQuery } from '../../api/queries';
import { SideFields } from '../../shared/SideFields';
import { useTitles } from '../../shared/titles';
import { MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne, Tick } from '../../ui/Choose';
import { DropPlace } from '../../ui/DropPlace';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { FieldRow, Notice, Quiet, Small } from '../../ui/Text';
import { Accounts } from './Accounts';
import { BookSection, useKeep } from './BooksSection';
import { CostCentres } from './CostCentres';
import { Currencies } from './Currencies';
import { TaxRates } from './TaxRates';

/** What the office has set for its books. */
export function BooksSettings() {
    const { data: books } = useQuery(booksQuery);
    return books === undefined ? null : (
        <>
            <Counting books={books} />
            <Defaults books={books} side="client" title="Defaults when we bill" />
            <Defaults books={books} side="vendor" title="Defaults when we pay" />
            <TaxRates books={books} />
            <Accounts books={books} />
            <CostCentres books={books} />
            <Currencies books={books} />
            <Holidays books={books} />
        </>
    );
}

function Counting({ books }: { books: Schemas['Books'] }) {
    const ageing = useTitles('ageingBy');
    const { ageingBy, warnAfter, lateRate, latePerMonth, keepsUsHolidays } = books;
    const [draft, setDraft] = useState({ ageingBy, warnAfter: String(warnAfter), lateRate, latePerMonth, keepsUsHolidays });
    const { keep, problems, message } = useKeep();
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
    return (
        <BookSection title="Ageing and interest">
            <Form
                aria-label="Ageing and interest"
                onSubmit={(event) => {
                    event.preventDefault();
                    void keep(
                        () => ask(api.PUT('/api/books', { body: { ...draft, warnAfter: Number.parseInt(draft.warnAfter, 10) || 0 } })),
                        'Saved.',
                    );
                }}
            >
                <FieldRow>
                    <ChooseOne
                        label="Age is counted from the"
                        width="word"
                        options={ageing}
                        value={draft.ageingBy}
                        onChange={(ageingBy) => set({ ageingBy })}
                    />
                    <Field
                        label="Warn when open for more days than"
                        width="code"
                        value={draft.warnAfter}
                        onChange={(days) => set({ warnAfter: days })}
                        problem={problems.warnAfter}
                    />
                    <Field
                        label="Interest on what is late, %"
                        width="code"
                        placeholder="none"
                        value={draft.lateRate}
                        onChange={(rate) => set({ lateRate: rate })}
                        problem={problems.lateRate}
                    />
                    <ChooseOne
                        label="Per"
                        width="line"
                        options={[
                            { id: 'year', name: 'year, counted by the day' },
                            { id: 'month', name: 'month or part of one' },
                        ]}
                        value={draft.latePerMonth ? 'month' : 'year'}
                        onChange={(per) => set({ latePerMonth: per === 'month' })}
                    />
                </FieldRow>
                <Tick isSelected={draft.keepsUsHolidays} onChange={(keeps) => set({ keepsUsHolidays: keeps })}>
                    US federal holidays are days off
                </Tick>
                {message !== undefined && (
                    <Notice tone="stop" title="Not saved">
                        {message}
                    </Notice>
                )}
                <MainButton type="submit">Save ageing and interest</MainButton>
            </Form>
        </BookSection>
    );
}

function Defaults({ books, side, title }: { books: Schemas['Books']; side: 'client' | 'vendor'; title: string }) {
    const fields = side === 'client' ? books.clientDefaults : books.vendorDefaults;
    const [own, setOwn] = useState<Record<string, string | null>>(() => Object.fromEntries(fields.map((field) => [field.name, field.own])));
    const { keep, problems, message } = useKeep();
    return (
        <BookSection title={title}>
            <Small>What records inherit unless they have their own.</Small>
            <Form
                aria-label={title}
                $stretch
                onSubmit={(event) => {
                    event.preventDefault();
                    void keep(
                        () =>
                            ask(
                                api.PUT('/api/books/defaults', {
                                    body: { side, fields: Object.entries(own).map(([name, value]) => ({ name, value })) },
                                }),
                            ),
                        'Saved.',
                    );
                }}
            >
                <SideFields side={side} fields={fields} own={own} problems={problems} onChange={setOwn} />
                {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
                <div><MainButton type="submit">Save these defaults</MainButton></div>
            </Form>
        </BookSection>
    );
}

function Holidays({ books }: { books: Schemas['Books'] }) {
    const { keep, problems, failure } = useKeep();
    return (
        <BookSection title="Holidays">
            <Small>
                {books.keepsUsHolidays ? 'US federal holidays are days off.' : 'Only weekends are days off.'} Others are read from an
                iCalendar file.
            </Small>
            {books.holidays.length > 0 && (
                <details>
                    <summary>{books.holidays.length === 1 ? '1 holiday imported' : `${books.holidays.length} holidays imported`}</summary>
                    {books.holidays.map(({ dayText, name }) => <p key={dayText}>{dayText} <Quiet>{name}</Quiet></p>)}
                </details>
            )}
            <DropPlace
                label="Import holidays from a calendar"
                onFiles={([file]) =>
                    void (
                        file !== undefined &&
                        file.text().then((text) => keep(() => ask(api.POST('/api/holidays', { body: { text } })), 'Holidays imported.'))
                    )
                }
            >
                or drag the .ics file here
            </DropPlace>
            {failure !== undefined && (
                <Notice tone="stop" title="Nothing was imported">
                    {problems.text ?? failure.message}
                </Notice>
            )}
            {books.holidays.length > 0 && (
                <div>
                    <QuietButton onPress={() => void keep(() => ask(api.DELETE('/api/holidays')), 'Forgotten.')}>
                        Remove the imported ones
                    </QuietButton>
                </div>
            )}
        </BookSection>
    );
}
