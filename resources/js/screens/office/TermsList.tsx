import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { forgetChoices, keepAnswer, termsQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { TermsPreview } from '../../shared/TermsPreview';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Heading, Notice, Quiet, Row, Small, Stack } from '../../ui/Text';
import { line, narrow, space, widths } from '../../ui/tokens';

type Listed = Schemas['ListedTermsUses'];

const Items = styled.ul`
    display: grid;
    width: 100%;
    margin: 0;
    padding: 0;
    list-style: none;
    li {
        display: grid;
        grid-template-columns: ${widths.name} 1fr auto auto;
        gap: ${space.small} ${space.medium};
        align-items: baseline;
        padding: ${space.hair} 0;
        border-bottom: ${line.rule};
    }
    li > span {
        overflow-wrap: anywhere;
        min-width: 0;
    }
    ${narrow} {
        li {
            grid-template-columns: 1fr;
        }
    }
`;

/** The office's list of payment terms. */
export function TermsList() {
    const { data: list } = useQuery(termsQuery);
    const [edited, setEdited] = useState<Listed | 'new'>();
    const keep = (saved: Listed[]) => {
        keepAnswer(termsQuery.queryKey, saved);
        forgetChoices();
        setEdited(undefined);
    };

    return (
        <Stack as="section" data-section aria-label="Payment terms" $stretch>
            <Heading>Payment terms</Heading>
            <Items>
                {list?.map((listed) => (
                    <li key={listed.terms.id}>
                        <span>{listed.terms.name}</span>
                        <span>
                            {listed.terms.shorthand}
                            <Small>
                                {[
                                    listed.terms.isClientDefault && 'by default when we bill',
                                    listed.terms.isVendorDefault && 'by default when we pay',
                                    listed.terms.isRetired && 'retired',
                                ]
                                    .filter(Boolean)
                                    .map((note) => ` · ${note}`)
                                    .join('')}
                            </Small>
                        </span>
                        <Small>{listed.uses === 0 ? 'not used' : listed.uses === 1 ? 'used once' : `used ${listed.uses} times`}</Small>
                        <QuietButton aria-label={`Change the terms ${listed.terms.name}`} onPress={() => setEdited(listed)}>
                            Change
                        </QuietButton>
                    </li>
                ))}
            </Items>
            {edited === undefined ? (
                <div>
                    <Button data-edit onPress={() => setEdited('new')}>
                        Add payment terms
                    </Button>
                </div>
            ) : (
                <TermsForm
                    key={edited === 'new' ? 'new' : edited.terms.id}
                    listed={edited === 'new' ? undefined : edited}
                    onSaved={keep}
                    onClose={() => setEdited(undefined)}
                />
            )}
        </Stack>
    );
}

function TermsForm({ listed, onSaved, onClose }: { listed: Listed | undefined; onSaved: (list: Listed[]) => void; onClose: () => void }) {
    const { name: named = '', shorthand = '', isClientDefault = false, isVendorDefault = false, isRetired = false } = listed?.terms ?? {};
    const [draft, setDraft] = useState<Schemas['ListedTermsInput']>({
        name: named,
        shorthand,
        isClientDefault,
        isVendorDefault,
        isRetired,
    });
    const { run, problems, message } = useSaving();
    const say = useSay();
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
    const wrong = problems.isClientDefault ?? problems.isVendorDefault ?? problems.isRetired;

    const save = (event: FormEvent) => {
        event.preventDefault();
        return run(async () => {
            onSaved(await ask(listed === undefined
                ? api.POST('/api/terms', { body: draft })
                : api.PUT('/api/terms/{terms}', { params: { path: { terms: listed.terms.id } }, body: draft })));
            say(`${draft.name} saved.`);
        });
    };

    return (
        <Form
            aria-label={listed === undefined ? 'New payment terms' : `The terms ${named}`}
            onSubmit={(event) => void save(event)}
            onLeave={onClose}
        >
            <FieldRow>
                <Field label="Name" autoFocus width="name" value={draft.name} onChange={(name) => set({ name })} problem={problems.name} />
                <Field
                    label="Terms"
                    width="line"
                    placeholder="2/10 net 30"
                    value={draft.shorthand}
                    onChange={(text) => set({ shorthand: text })}
                    problem={problems.shorthand}
                />
            </FieldRow>
            {draft.shorthand.trim() !== '' && <TermsPreview what="An invoice" terms={draft.shorthand} />}
            <FieldRow>
                <Tick isSelected={draft.isClientDefault} onChange={(isDefault) => set({ isClientDefault: isDefault })}>
                    by default when we bill
                </Tick>
                <Tick isSelected={draft.isVendorDefault} onChange={(isDefault) => set({ isVendorDefault: isDefault })}>
                    by default when we pay
                </Tick>
                {listed !== undefined && (
                    <Tick isSelected={draft.isRetired} onChange={(retired) => set({ isRetired: retired })}>
                        retired: offered no more
                    </Tick>
                )}
            </FieldRow>
            {listed !== undefined && listed.uses > 0 && <Quiet>Changing the terms changes them for every record that uses them.</Quiet>}
            {(wrong ?? message) !== undefined && <Notice tone="stop" title="Not saved">{wrong ?? message}</Notice>}
            <Row $gap="small">
                <MainButton type="submit">Save these terms</MainButton>
                <Button onPress={onClose}>Cancel</Button>
            </Row>
        </Form>
    );
}
