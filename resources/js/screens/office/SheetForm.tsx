import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { engagementKindsQuery } from '../../api/queries';
import { useListed } from '../../api/useListed';
import { useSaving } from '../../api/useSaving';
import { useTitles } from '../../shared/titles';
import { Button, MainButton } from '../../ui/Button';
import { AddRow } from '../../ui/AddRow';
import { ChooseOne, Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { RowTools } from '../../ui/RowTools';
import { useSay } from '../../ui/StatusLine';
import { FieldGroup, FieldRow, Notice, Row, Small } from '../../ui/Text';

type Sheet = Schemas['Sheet'];
type FieldInput = Schemas['SheetFieldInput'];
type Draft = Omit<Schemas['SheetInput'], 'fields'> & { fields: (FieldInput & { key: string; uses: number })[] };

const REQUIRED = [
    { id: 'none', name: 'nothing' },
    { id: 'write-to', name: 'writing to them' },
    { id: 'bill', name: 'billing them' },
    { id: 'pay', name: 'paying them' },
    { id: 'tax-report', name: 'the tax report' },
];
const WHOSE = [
    { id: 'both', name: 'people and companies' },
    { id: 'person', name: 'people' },
    { id: 'company', name: 'companies' },
];

let made = 0;

function blank(): Draft['fields'][number] {
    made += 1;
    return { key: `new-${made}`, id: null, name: '', kind: 'text', options: [], help: '', requiredFor: null, isRetired: false, uses: 0 };
}

function draftOf(sheet: Sheet | undefined): Draft {
    return sheet === undefined
        ? { name: '', partyKind: null, type: '', engagementKindId: null, isRetired: false, fields: [blank()] }
        : { ...sheet, fields: sheet.fields.map((field) => ({ ...field, key: String(field.id) })) };
}

interface Props {
    sheet: Sheet | undefined;
    onSaved: (sheets: Sheet[]) => void;
    onClose: () => void;
}

/** Defines one detail sheet: whom it is for, and its fields in their order. */
export function SheetForm({ sheet, onSaved, onClose }: Props) {
    const kinds = useTitles('fieldKinds');
    const [draft, setDraft] = useState(() => draftOf(sheet));
    const { run, problems, message, failure } = useSaving();
    const form = useRef<HTMLFormElement>(null);
    const { data: engagementKinds } = useQuery(engagementKindsQuery);
    const types = useListed('types', draft.type === '' ? [] : [draft.type]);
    const say = useSay();
    const set = (part: Partial<Draft>) => setDraft({ ...draft, ...part });
    const setField = (index: number, part: Partial<FieldInput>) =>
        set({ fields: draft.fields.map((field, at) => (at === index ? { ...field, ...part } : field)) });

    useEffect(() => {
        form.current?.querySelector<HTMLElement>('[aria-invalid=true]')?.focus();
    }, [failure]);

    const save = async (event: FormEvent) => {
        event.preventDefault();
        const { name, partyKind, type, engagementKindId, isRetired, fields } = draft;
        const body = { name, partyKind, type, engagementKindId, isRetired, fields: fields.map(({ key, uses, ...field }) => field) };
        await run(async () => {
            onSaved(await ask(sheet === undefined
                ? api.POST('/api/sheets', { body })
                : api.PUT('/api/sheets/{sheet}', { params: { path: { sheet: sheet.id } }, body })));
            say(`${name} saved.`);
        });
    };

    return (
        <Form
            ref={form}
            aria-label={sheet === undefined ? 'A new detail sheet' : `The sheet ${sheet.name}`}
            $stretch
            onSubmit={(event) => void save(event)}
            onLeave={onClose}
        >
            <FieldRow>
                <Field
                    label="Name of the sheet"
                    autoFocus
                    width="phrase"
                    value={draft.name}
                    onChange={(name) => set({ name })}
                    problem={problems.name}
                />
                <ChooseOne
                    label="For"
                    width="word"
                    options={[...WHOSE, ...(engagementKinds ?? []).map(({ id, plural }) => ({ id: `kind-${id}`, name: plural }))]}
                    value={draft.engagementKindId == null ? (draft.partyKind ?? 'both') : `kind-${draft.engagementKindId}`}
                    onChange={(id) => set({
                        partyKind: id === 'person' || id === 'company' ? id : null,
                        engagementKindId: id.startsWith('kind-') ? Number(id.slice('kind-'.length)) : null,
                    })}
                    problem={problems.engagementKindId}
                />
                <ChooseOne
                    label="Only of the type"
                    width="word"
                    options={[{ id: 'any', name: 'any' }, ...types.map((name) => ({ id: `=${name}`, name }))]}
                    value={draft.type === '' ? 'any' : `=${draft.type}`}
                    onChange={(id) => set({ type: id === 'any' ? '' : id.slice(1) })}
                    problem={problems.type}
                />
            </FieldRow>
            {draft.fields.map((field, index) => {
                const problemAt = (name: string) => problems[`fields.${index}.${name}`];
                const called = field.name === '' ? `field ${index + 1}` : field.name;
                return (
                    <FieldGroup key={field.key} aria-label={called}>
                        <FieldRow $foot>
                            <Field
                                label="Field"
                                width="name"
                                value={field.name}
                                onChange={(name) => setField(index, { name })}
                                problem={problemAt('name')}
                            />
                            <ChooseOne
                                label="Holds"
                                width="day"
                                options={kinds}
                                value={field.kind}
                                onChange={(kind) => setField(index, { kind: kind as FieldInput['kind'] })}
                                problem={problemAt('kind')}
                            />
                            <ChooseOne
                                label="Needed for"
                                width="day"
                                options={REQUIRED}
                                value={field.requiredFor ?? 'none'}
                                onChange={(id) => setField(index, { requiredFor: id === 'none' ? null : (id as 'bill') })}
                            />
                            <RowTools
                                called={called}
                                index={index}
                                rows={draft.fields}
                                onChange={(fields) => set({ fields })}
                                stays={field.uses === 0 ? undefined : <Small>filled in {field.uses === 1 ? 'once' : `${field.uses} times`}</Small>}
                            />
                        </FieldRow>
                        {(field.kind === 'choice' || field.kind === 'several-choices') && (
                            <Field
                                label="Choices, one per line"
                                lines={4}
                                width="line"
                                value={field.options.join('\n')}
                                onChange={(text) => setField(index, { options: text.split('\n') })}
                                problem={problemAt('options')}
                            />
                        )}
                        <FieldRow $foot>
                            <Field
                                label="Help shown with it"
                                width="wide"
                                value={field.help}
                                onChange={(help) => setField(index, { help })}
                                problem={problemAt('help')}
                            />
                            {field.id !== null && (
                                <Tick isSelected={field.isRetired} onChange={(isRetired) => setField(index, { isRetired })}>
                                    retired
                                </Tick>
                            )}
                        </FieldRow>
                    </FieldGroup>
                );
            })}
            <div>
                <AddRow onAdd={() => set({ fields: [...draft.fields, blank()] })}>Add a field</AddRow>
            </div>
            {sheet !== undefined && (
                <Tick isSelected={draft.isRetired} onChange={(isRetired) => set({ isRetired })}>
                    retire the whole sheet: what is filled in stays
                </Tick>
            )}
            {message !== undefined && (
                <Notice tone="stop" title="Not saved">
                    {message}
                </Notice>
            )}
            <Row $gap="small">
                <MainButton type="submit">Save the sheet</MainButton>
                <Button onPress={onClose}>Cancel</Button>
            </Row>
        </Form>
    );
}
