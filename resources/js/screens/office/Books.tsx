import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { booksQuery, forgetLedger } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { SideFields } from '../../app/SideFields';
import { useOfficeWords } from '../../app/officeWords';
import { Button, ButtonLink, MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne, Tick } from '../../ui/Choose';
import { DropPlace } from '../../ui/DropPlace';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Heading, Notice, Quiet, Row, Small, Stack } from '../../ui/Text';
import { narrow, space } from '../../ui/tokens';

type Books = Schemas['Books'];

const Items = styled.ul`
    display: grid;
    width: 100%;
    margin: 0;
    padding: 0;
    list-style: none;
    li { display: grid; grid-template-columns: minmax(0, 1fr) auto auto; gap: ${space.small} ${space.medium}; align-items: baseline; padding: 2px 0; border-bottom: 1px solid var(--rule); }
    ${narrow} { li { grid-template-columns: 1fr; } }
`;

const SIDES = [{ id: 'client', name: 'on sales' }, { id: 'vendor', name: 'on purchases' }];
const ACCOUNT_KINDS = ['income', 'expense', 'asset', 'liability', 'equity'].map((id) => ({ id, name: id }));

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

/** Keeps what comes back, says so, and lets everything that shows amounts read again. */
function useKeep() {
    const client = useQueryClient();
    const say = useSay();
    const saving = useSaving();
    const keep = (work: () => Promise<Books>, said: string, then?: () => void) => saving.run(async () => {
        client.setQueryData(booksQuery.queryKey, await work());
        forgetLedger();
        say(said);
        then?.();
    });
    return { ...saving, keep };
}

function Section({ title, children }: { title: string; children: ReactNode }) {
    return <Stack as="section" aria-label={title} style={{ justifyItems: 'stretch' }}><Heading>{title}</Heading>{children}</Stack>;
}

function Counting({ books }: { books: Books }) {
    const { ageingBy, warnAfter, lateRate, latePerMonth, keepsUsHolidays } = books;
    const [draft, setDraft] = useState({ ageingBy, warnAfter: String(warnAfter), lateRate, latePerMonth, keepsUsHolidays });
    const { keep, problems, message } = useKeep();
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
    return (
        <Section title="Ageing and interest">
            <Form
                aria-label="Ageing and interest"
                onSubmit={(event) => {
                    event.preventDefault();
                    void keep(() => ask(api.PUT('/api/books', { body: { ...draft, warnAfter: Number.parseInt(draft.warnAfter, 10) || 0 } })), 'Saved.');
                }}
            >
                <FieldRow>
                    <ChooseOne label="Age counts from the" width="180px" options={[{ id: 'due date', name: 'due date' }, { id: 'document date', name: 'document’s date' }]} value={draft.ageingBy} onChange={(by) => set({ ageingBy: by as Books['ageingBy'] })} />
                    <Field label="Warn when open for more days than" width="120px" value={draft.warnAfter} onChange={(days) => set({ warnAfter: days })} problem={problems.warnAfter} />
                    <Field label="Interest on what is late, %" width="120px" placeholder="none" value={draft.lateRate} onChange={(rate) => set({ lateRate: rate })} problem={problems.lateRate} />
                    <ChooseOne label="of that" width="190px" options={[{ id: 'year', name: 'a year, by the day' }, { id: 'month', name: 'a month begun' }]} value={draft.latePerMonth ? 'month' : 'year'} onChange={(per) => set({ latePerMonth: per === 'month' })} />
                </FieldRow>
                <Tick isSelected={draft.keepsUsHolidays} onChange={(keeps) => set({ keepsUsHolidays: keeps })}>we keep the federal holidays of the United States</Tick>
                {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
                <MainButton type="submit">Save how we count</MainButton>
            </Form>
        </Section>
    );
}

function Defaults({ books, side, title }: { books: Books; side: 'client' | 'vendor'; title: string }) {
    const fields = side === 'client' ? books.clientDefaults : books.vendorDefaults;
    const [own, setOwn] = useState<Record<string, string | null>>(() => Object.fromEntries(fields.map((field) => [field.name, field.own])));
    const { keep, problems, message } = useKeep();
    return (
        <Section title={title}>
            <Small>What every record inherits that has nothing of its own.</Small>
            <Form
                aria-label={title}
                style={{ justifyItems: 'stretch' }}
                onSubmit={(event) => {
                    event.preventDefault();
                    void keep(() => ask(api.PUT('/api/books/defaults', { body: { side, fields: Object.entries(own).map(([name, value]) => ({ name, value })) } })), 'Saved.');
                }}
            >
                <SideFields side={side} fields={fields} own={own} problems={problems} onChange={setOwn} />
                {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
                <div><MainButton type="submit">Save these defaults</MainButton></div>
            </Form>
        </Section>
    );
}

function TaxRates({ books }: { books: Books }) {
    const [edited, setEdited] = useState<Schemas['TaxRate'] | 'new'>();
    return (
        <Section title="Tax rates">
            {books.taxRates.length === 0 && <Quiet>No rates yet. Each holds for a time: let the old one end, and add the new one from the next day.</Quiet>}
            <Items>
                {books.taxRates.map((rate) => (
                    <li key={rate.id}>
                        <span>{rate.text}</span>
                        <Small>{rate.isRetired ? 'retired' : rate.side === 'client' ? 'on sales' : 'on purchases'}</Small>
                        <QuietButton aria-label={`Change the rate ${rate.text}`} onPress={() => setEdited(rate)}>Change</QuietButton>
                    </li>
                ))}
            </Items>
            {edited === undefined
                ? <div><Button onPress={() => setEdited('new')}>Add a tax rate</Button></div>
                : <TaxRateForm key={edited === 'new' ? 'new' : edited.id} rate={edited === 'new' ? undefined : edited} onClose={() => setEdited(undefined)} />}
        </Section>
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
            onSubmit={(event) => {
                event.preventDefault();
                void keep(() => ask(rate === undefined ? api.POST('/api/tax-rates', { body: draft }) : api.PUT('/api/tax-rates/{taxRate}', { params: { path: { taxRate: rate.id } }, body: draft })), 'Tax rate saved.', onClose);
            }}
        >
            <FieldRow>
                <Field label="Name" autoFocus width="200px" value={draft.name} onChange={(text) => set({ name: text })} problem={problems.name} />
                <Field label="Percent" width="90px" value={draft.percent} onChange={(text) => set({ percent: text })} problem={problems.percent} />
                <ChooseOne label="Side" width="150px" options={SIDES} value={draft.side} onChange={(id) => set({ side: id as 'client' })} />
                <Field label="From" width="120px" placeholder="always" value={draft.since} onChange={(text) => set({ since: text })} problem={problems.since} />
                <Field label="Until" width="120px" placeholder="for good" value={draft.until} onChange={(text) => set({ until: text })} problem={problems.until} />
            </FieldRow>
            {rate !== undefined && <Tick isSelected={draft.isRetired} onChange={(retired) => set({ isRetired: retired })}>retired: offered no more</Tick>}
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <Row $gap="small"><MainButton type="submit">Save this rate</MainButton><Button onPress={onClose}>Cancel</Button></Row>
        </Form>
    );
}

function Accounts({ books }: { books: Books }) {
    const [edited, setEdited] = useState<Schemas['Account'] | 'new'>();
    const { keep, failure, problems } = useKeep();
    return (
        <Section title="Chart of accounts">
            {books.accounts.length === 0 && <Quiet>No accounts yet. Add them one by one, or read them from a CSV file with code, name and kind.</Quiet>}
            <Items>
                {books.accounts.map((account) => (
                    <li key={account.id}>
                        <span>{account.code} {account.name}</span>
                        <Small>{account.isRetired ? 'retired' : account.kind}</Small>
                        <QuietButton aria-label={`Change the account ${account.code}`} onPress={() => setEdited(account)}>Change</QuietButton>
                    </li>
                ))}
            </Items>
            {edited === undefined
                ? (
                    <Row $gap="small">
                        <Button onPress={() => setEdited('new')}>Add an account</Button>
                        {books.accounts.length > 0 && <ButtonLink href="/api/accounts/file" target="_blank" rel="external">CSV</ButtonLink>}
                    </Row>
                )
                : <AccountForm key={edited === 'new' ? 'new' : edited.id} account={edited === 'new' ? undefined : edited} onClose={() => setEdited(undefined)} />}
            <DropPlace label="Read accounts from CSV" onFiles={([file]) => void (file !== undefined && file.text().then((text) => keep(() => ask(api.POST('/api/accounts/file', { body: { text } })), 'Accounts read.')))}>or drag the file here: code, name, kind</DropPlace>
            {failure !== undefined && edited === undefined && <Notice tone="stop" title="Nothing was read">{problems.text ?? failure.message}</Notice>}
        </Section>
    );
}

function AccountForm({ account, onClose }: { account: Schemas['Account'] | undefined; onClose: () => void }) {
    const { code = '', name = '', kind = 'income', isRetired = false } = account ?? {};
    const [draft, setDraft] = useState<Schemas['AccountInput']>({ code, name, kind, isRetired });
    const { keep, problems, message } = useKeep();
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
    return (
        <Form
            aria-label="Account"
            onSubmit={(event) => {
                event.preventDefault();
                void keep(() => ask(account === undefined ? api.POST('/api/accounts', { body: draft }) : api.PUT('/api/accounts/{account}', { params: { path: { account: account.id } }, body: draft })), 'Account saved.', onClose);
            }}
        >
            <FieldRow>
                <Field label="Code" autoFocus width="110px" value={draft.code} onChange={(text) => set({ code: text })} problem={problems.code} />
                <Field label="Name" width="260px" value={draft.name} onChange={(text) => set({ name: text })} problem={problems.name} />
                <ChooseOne label="Kind" width="140px" options={ACCOUNT_KINDS} value={draft.kind} onChange={(id) => set({ kind: id as 'income' })} />
            </FieldRow>
            {account !== undefined && <Tick isSelected={draft.isRetired} onChange={(retired) => set({ isRetired: retired })}>retired: offered no more</Tick>}
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <Row $gap="small"><MainButton type="submit">Save this account</MainButton><Button onPress={onClose}>Cancel</Button></Row>
        </Form>
    );
}

function CostCentres({ books }: { books: Books }) {
    const { costCentre: word, costCentres: title } = useOfficeWords();
    const [isAdding, setAdding] = useState(false);
    const [draft, setDraft] = useState({ group: '', name: '' });
    const { keep, problems, message } = useKeep();
    return (
        <Section title={title}>
            {books.costCentres.length === 0 && <Quiet>None yet. They stand in groups, such as Department or Region; a line has at most one of each.</Quiet>}
            <Items>
                {books.costCentres.map(({ id, group, name, isRetired }) => (
                    <li key={id}>
                        <span>{group}: {name}</span>
                        <Small>{isRetired ? 'retired' : ''}</Small>
                        <QuietButton aria-label={`${isRetired ? 'Offer' : 'Retire'} ${group}: ${name}`} onPress={() => void keep(() => ask(api.PUT('/api/cost-centres/{costCentre}', { params: { path: { costCentre: id } }, body: { group, name, isRetired: !isRetired } })), 'Saved.')}>{isRetired ? 'Offer again' : 'Retire'}</QuietButton>
                    </li>
                ))}
            </Items>
            {isAdding
                ? (
                    <Form
                        aria-label={`New ${word}`}
                        onSubmit={(event) => {
                            event.preventDefault();
                            void keep(() => ask(api.POST('/api/cost-centres', { body: { ...draft, isRetired: false } })), `Added to the ${word}s.`, () => setDraft({ ...draft, name: '' }));
                        }}
                    >
                        <FieldRow style={{ alignItems: 'flex-end' }}>
                            <Field label="Group" autoFocus width="160px" placeholder="Department" value={draft.group} onChange={(group) => setDraft({ ...draft, group })} problem={problems.group} />
                            <Field label="Name" width="200px" value={draft.name} onChange={(name) => setDraft({ ...draft, name })} problem={problems.name ?? message} />
                            <Button type="submit">Add this {word}</Button>
                            <QuietButton onPress={() => setAdding(false)}>Close</QuietButton>
                        </FieldRow>
                    </Form>
                )
                : <div><Button onPress={() => setAdding(true)}>Add a {word}</Button></div>}
        </Section>
    );
}

function Currencies({ books }: { books: Books }) {
    const [isAdding, setAdding] = useState(false);
    const [draft, setDraft] = useState({ currency: '', day: '', rate: '' });
    const { keep, problems, message } = useKeep();
    return (
        <Section title="Currencies">
            <Small>Ours is {books.currency}. Others need a rate: what one unit is worth in {books.currency}, from a day until the next rate.</Small>
            <Items>
                {books.rates.map(({ id, currency, dayText, rate }) => (
                    <li key={id}>
                        <span>1 {currency} = {rate} {books.currency}</span>
                        <Small>from {dayText}</Small>
                        <QuietButton aria-label={`Remove the rate of ${currency} from ${dayText}`} onPress={() => void keep(() => ask(api.DELETE('/api/currency-rates/{currencyRate}', { params: { path: { currencyRate: id } } })), 'Rate removed.')}>Remove</QuietButton>
                    </li>
                ))}
            </Items>
            {isAdding
                ? (
                    <Form
                        aria-label="New rate"
                        onSubmit={(event) => {
                            event.preventDefault();
                            void keep(() => ask(api.POST('/api/currency-rates', { body: draft })), 'Rate added.', () => setDraft({ currency: '', day: '', rate: '' }));
                        }}
                    >
                        <FieldRow style={{ alignItems: 'flex-end' }}>
                            <Field label="Currency" autoFocus width="100px" placeholder="EUR" value={draft.currency} onChange={(currency) => setDraft({ ...draft, currency })} problem={problems.currency} />
                            <Field label={`Worth in ${books.currency}`} width="130px" placeholder="1.0842" value={draft.rate} onChange={(rate) => setDraft({ ...draft, rate })} problem={problems.rate ?? message} />
                            <Field label="From" width="120px" placeholder="today" value={draft.day} onChange={(day) => setDraft({ ...draft, day })} problem={problems.day} />
                            <Button type="submit">Add this rate</Button>
                            <QuietButton onPress={() => setAdding(false)}>Close</QuietButton>
                        </FieldRow>
                    </Form>
                )
                : <div><Button onPress={() => setAdding(true)}>Add a rate</Button></div>}
        </Section>
    );
}

function Holidays({ books }: { books: Books }) {
    const { keep, problems, failure } = useKeep();
    return (
        <Section title="Holidays">
            <Small>{books.keepsUsHolidays ? 'The federal holidays of the United States are kept by rule.' : 'Only weekends are kept by rule.'} Others are read from an iCalendar file.</Small>
            {books.holidays.length > 0 && (
                <details>
                    <summary>{books.holidays.length === 1 ? '1 holiday imported' : `${books.holidays.length} holidays imported`}</summary>
                    {books.holidays.map(({ dayText, name }) => <p key={dayText}>{dayText} <Quiet>{name}</Quiet></p>)}
                </details>
            )}
            <DropPlace label="Read holidays from a calendar" onFiles={([file]) => void (file !== undefined && file.text().then((text) => keep(() => ask(api.POST('/api/holidays', { body: { text } })), 'Holidays read.')))}>or drag the .ics file here</DropPlace>
            {failure !== undefined && <Notice tone="stop" title="Nothing was read">{problems.text ?? failure.message}</Notice>}
            {books.holidays.length > 0 && <div><QuietButton onPress={() => void keep(() => ask(api.DELETE('/api/holidays')), 'Forgotten.')}>Remove the imported ones</QuietButton></div>}
        </Section>
    );
}
