import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { useTitles } from '../../shared/titles';
import { Button, ButtonLink, MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne, Tick } from '../../ui/Choose';
import { DropPlace } from '../../ui/DropPlace';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { FieldRow, Notice, Quiet, Row, Small } from '../../ui/Text';
import { BookItems, BookSection, useKeep } from './BooksSection';


/** The accounts that lines are booked to. */
export function Accounts({ books }: { books: Schemas['Books'] }) {
    const [edited, setEdited] = useState<Schemas['Account'] | 'new'>();
    const { keep, failure, problems } = useKeep();
    return (
        <BookSection title="Chart of accounts">
            {books.accounts.length === 0 && (
                <Quiet>No accounts yet. Add them one by one, or import them from a CSV file with code, name and kind.</Quiet>
            )}
            <BookItems>
                {books.accounts.map((account) => (
                    <li key={account.id}>
                        <span>{account.code} {account.name}</span>
                        <Small>{account.isRetired ? 'retired' : account.kind}</Small>
                        <QuietButton aria-label={`Change the account ${account.code}`} onPress={() => setEdited(account)}>
                            Change
                        </QuietButton>
                    </li>
                ))}
            </BookItems>
            {edited === undefined ? (
                <Row $gap="small">
                    <Button data-edit onPress={() => setEdited('new')}>
                        Add an account
                    </Button>
                    {books.accounts.length > 0 && (
                        <ButtonLink href="/api/accounts/file" target="_blank" rel="external">
                            CSV
                        </ButtonLink>
                    )}
                </Row>
            ) : (
                <AccountForm
                    key={edited === 'new' ? 'new' : edited.id}
                    account={edited === 'new' ? undefined : edited}
                    onClose={() => setEdited(undefined)}
                />
            )}
            <DropPlace
                label="Import accounts from CSV"
                onFiles={([file]) =>
                    void (
                        file !== undefined &&
                        file
                            .text()
                            .then((text) => keep(() => ask(api.POST('/api/accounts/file', { body: { text } })), 'Accounts imported.'))
                    )
                }
            >
                or drag the file here: code, name, kind
            </DropPlace>
            {failure !== undefined && edited === undefined && (
                <Notice tone="stop" title="Nothing was imported">
                    {problems.text ?? failure.message}
                </Notice>
            )}
        </BookSection>
    );
}

function AccountForm({ account, onClose }: { account: Schemas['Account'] | undefined; onClose: () => void }) {
    const kinds = useTitles('accountKinds');
    const { code = '', name = '', kind = 'income', isRetired = false } = account ?? {};
    const [draft, setDraft] = useState<Schemas['AccountInput']>({ code, name, kind, isRetired });
    const { keep, problems, message } = useKeep();
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
    return (
        <Form
            aria-label="Account"
            onLeave={onClose}
            onSubmit={(event) => {
                event.preventDefault();
                void keep(
                    () =>
                        ask(
                            account === undefined
                                ? api.POST('/api/accounts', { body: draft })
                                : api.PUT('/api/accounts/{account}', { params: { path: { account: account.id } }, body: draft }),
                        ),
                    'Account saved.',
                    onClose,
                );
            }}
        >
            <FieldRow>
                <Field
                    label="Code"
                    autoFocus
                    width="figure"
                    value={draft.code}
                    onChange={(text) => set({ code: text })}
                    problem={problems.code}
                />
                <Field label="Name" width="phrase" value={draft.name} onChange={(text) => set({ name: text })} problem={problems.name} />
                <ChooseOne
                    label="Kind"
                    width="day"
                    options={kinds}
                    value={draft.kind}
                    onChange={(id) => set({ kind: id as 'income' })}
                />
            </FieldRow>
            {account !== undefined && (
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
                <MainButton type="submit">Save this account</MainButton>
                <Button onPress={onClose}>Cancel</Button>
            </Row>
        </Form>
    );
}
