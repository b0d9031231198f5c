import { useEffect, useRef, useState, type FormEvent, type ReactNode } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { useSaving } from '../../api/useSaving';
import { keyed, newKey, bare, type Keyed } from '../../shared/section/spec';
import { useTitles } from '../../shared/titles';
import { AddRow } from '../../ui/AddRow';
import { Button, MainButton } from '../../ui/Button';
import { ChooseOne, Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { RowTools } from '../../ui/RowTools';
import { useSay } from '../../ui/StatusLine';
import { TagPicker } from '../../ui/TagPicker';
import { FieldGroup, FieldRow, Mark, Notice, Row, SubHeading } from '../../ui/Text';

type Kind = Schemas['EngagementKind'];
type StageRow = Keyed<Omit<Schemas['StageInput'], 'mostDays'>> & { mostDays: string };
type RoleRow = Keyed<Omit<Schemas['RoleInput'], 'least' | 'most'>> & { least: string; most: string };

interface Draft {
    name: string;
    plural: string;
    sign: string;
    isRetired: boolean;
    stages: StageRow[];
    roles: RoleRow[];
}

const stage = (name: string, meaning: StageRow['meaning']): StageRow =>
    ({ key: newKey(), id: null, name, meaning, mostDays: '', isRetired: false });
const role = (name: string, isClient: boolean): RoleRow =>
    ({ key: newKey(), id: null, name, least: isClient ? '1' : '0', most: '', isClient, opposes: [], isRetired: false });

function beginning(kind: Kind | undefined): Draft {
    return kind === undefined
        ? {
            name: '', plural: '', sign: '', isRetired: false,
            stages: [stage('Asked about', 'enquiry'), stage('At work', 'open'), stage('Closed', 'closed')],
            roles: [role('client', true)],
        }
        : {
            name: kind.name,
            plural: kind.plural,
            sign: kind.sign,
            isRetired: kind.isRetired,
            stages: kind.stages.map((one) => ({ ...keyed(one), mostDays: one.mostDays === null ? '' : String(one.mostDays) })),
            roles: kind.roles.map((one) => ({ ...keyed(one), least: String(one.least), most: one.most === null ? '' : String(one.most) })),
        };
}

/** What is typed as a number of days or of parties; what is none is sent on, and refused with a reason. */
function wholeOrNull(typed: string): number | null {
    return typed.trim() === '' ? null : Number(typed.trim());
}

function called(name: string, index: number): string {
    return name === '' ? `line ${index + 1}` : name;
}

interface Props {
    /** Undefined for a new one. */
    kind: Kind | undefined;
    onSaved: (kinds: Kind[]) => void;
    onClose: () => void;
}

/** A kind of case or project: its words, its stages and its roles in their order. */
export function EngagementKindForm({ kind, onSaved, onClose }: Props) {
    const [draft, setDraft] = useState(() => beginning(kind));
    const { run, problems, failure, message } = useSaving();
    const say = useSay();
    const form = useRef<HTMLFormElement>(null);
    const set = (part: Partial<Draft>) => setDraft({ ...draft, ...part });

    useEffect(() => {
        form.current?.querySelector<HTMLElement>('[aria-invalid=true]')?.focus();
    }, [failure]);

    const save = async (event: FormEvent) => {
        event.preventDefault();
        const body = {
            ...draft,
            stages: bare(draft.stages).map((one) => ({ ...one, mostDays: wholeOrNull(one.mostDays) })),
            roles: bare(draft.roles).map((one) => ({ ...one, least: wholeOrNull(one.least) ?? 0, most: wholeOrNull(one.most) })),
        };
        await run(async () => {
            onSaved(await ask(kind === undefined
                ? api.POST('/api/engagement-kinds', { body })
                : api.PUT('/api/engagement-kinds/{kind}', { params: { path: { kind: kind.id } }, body })));
            say(`${draft.name} saved.`);
        });
    };

    return (
        <Form
            ref={form}
            aria-label={kind === undefined ? 'A new kind of case or project' : `The kind ${kind.name}`}
            $stretch
            onSubmit={(event) => void save(event)}
            onLeave={onClose}
        >
            <FieldRow>
                <Field
                    label="Name, such as case"
                    autoFocus
                    width="word"
                    value={draft.name}
                    onChange={(name) => set({ name })}
                    problem={problems.name}
                />
                <Field
                    label="Several of them"
                    width="word"
                    value={draft.plural}
                    onChange={(plural) => set({ plural })}
                    problem={problems.plural}
                />
                <Field
                    label="Numbers begin with"
                    width="code"
                    value={draft.sign}
                    onChange={(sign) => set({ sign })}
                    problem={problems.sign}
                />
            </FieldRow>
            <SubHeading>Stages, in their order</SubHeading>
            {problems.stages !== undefined && <Mark tone="stop">{problems.stages}</Mark>}
            {draft.stages.map((one, index) => (
                <StageFields
                    key={one.key}
                    row={one}
                    problemAt={(field) => problems[`stages.${index}.${field}`]}
                    onChange={(part) => set({ stages: draft.stages.map((other, at) => (at === index ? { ...other, ...part } : other)) })}
                    tools={
                        <RowTools
                            called={called(one.name, index)}
                            index={index}
                            rows={draft.stages}
                            onChange={(stages) => set({ stages })}
                        />
                    }
                />
            ))}
            <div><AddRow onAdd={() => set({ stages: [...draft.stages, stage('', 'open')] })}>Add a stage</AddRow></div>
            <SubHeading>Roles, in their order</SubHeading>
            {draft.roles.map((one, index) => (
                <RoleFields
                    key={one.key}
                    row={one}
                    others={draft.roles.map(({ name }) => name).filter((name) => name !== '' && name !== one.name)}
                    problemAt={(field) => problems[`roles.${index}.${field}`]}
                    onChange={(part) => set({ roles: draft.roles.map((other, at) => (at === index ? { ...other, ...part } : other)) })}
                    tools={
                        <RowTools
                            called={called(one.name, index)}
                            index={index}
                            rows={draft.roles}
                            onChange={(roles) => set({ roles })}
                        />
                    }
                />
            ))}
            <div><AddRow onAdd={() => set({ roles: [...draft.roles, role('', false)] })}>Add a role</AddRow></div>
            {kind !== undefined && (
                <Tick isSelected={draft.isRetired} onChange={(isRetired) => set({ isRetired })}>
                    retire this kind: what there is of it stays
                </Tick>
            )}
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <Row $gap="small">
                <MainButton type="submit">Save the kind</MainButton>
                <Button onPress={onClose}>Cancel</Button>
            </Row>
        </Form>
    );
}

interface RowProps<T> {
    row: T;
    problemAt: (field: string) => string | undefined;
    onChange: (part: Partial<T>) => void;
    tools: ReactNode;
}

function StageFields({ row, problemAt, onChange, tools }: RowProps<StageRow>) {
    const meanings = useTitles('stageMeanings');
    return (
        <FieldRow $foot>
            <Field label="Stage" width="name" value={row.name} onChange={(name) => onChange({ name })} problem={problemAt('name')} />
            <ChooseOne
                label="Means"
                width="day"
                options={meanings}
                value={row.meaning}
                onChange={(meaning) => onChange({ meaning })}
                problem={problemAt('meaning')}
            />
            <Field
                label="Too long after, days"
                width="day"
                value={row.mostDays}
                onChange={(mostDays) => onChange({ mostDays })}
                problem={problemAt('mostDays')}
            />
            {row.id !== null && <Tick isSelected={row.isRetired} onChange={(isRetired) => onChange({ isRetired })}>retired</Tick>}
            {tools}
        </FieldRow>
    );
}

function RoleFields({ row, others, problemAt, onChange, tools }: RowProps<RoleRow> & { others: string[] }) {
    return (
        <FieldGroup aria-label={row.name === '' ? 'New role' : row.name}>
            <FieldRow $foot>
                <Field label="Role" width="name" value={row.name} onChange={(name) => onChange({ name })} problem={problemAt('name')} />
                <Field label="Needed" width="mark" value={row.least} onChange={(least) => onChange({ least })} problem={problemAt('least')} />
                <Field
                    label="At most"
                    width="mark"
                    placeholder="any"
                    value={row.most}
                    onChange={(most) => onChange({ most })}
                    problem={problemAt('most')}
                />
                <Tick isSelected={row.isClient} onChange={(isClient) => onChange({ isClient })}>whom it is for</Tick>
                {row.id !== null && <Tick isSelected={row.isRetired} onChange={(isRetired) => onChange({ isRetired })}>retired</Tick>}
                {tools}
            </FieldRow>
            <TagPicker
                label="Stands against"
                options={others}
                value={row.opposes}
                onChange={(opposes) => onChange({ opposes })}
                problem={problemAt('opposes')}
            />
        </FieldGroup>
    );
}
