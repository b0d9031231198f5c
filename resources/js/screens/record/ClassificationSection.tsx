import { useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { choicesQuery } from '../../api/queries';
import { useListed } from '../../api/useListed';
import { QuietButton } from '../../ui/Button';
import { AddRow } from '../../ui/AddRow';
import { asOptions, byNumber, ChooseOne } from '../../ui/Choose';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Field } from '../../ui/Field';
import { Suggest } from '../../ui/Suggest';
import { TagPicker } from '../../ui/TagPicker';
import { Chips, Facts, FieldRow, Half, Small, Stack } from '../../ui/Text';
import { SectionFrame } from '../../shared/section/SectionFrame';
import { classificationSpec, type ClassificationDraft, type CodeRow } from './sections/classification';
import { newKey, type RecordData } from './sections/spec';
import { useSection } from './useSection';

const NOBODY = { id: 'none', name: 'nobody' };
const GRADES = [{ id: '0', name: 'none' }, ...[5, 4, 3, 2, 1].map((grade) => ({ id: String(grade), name: `${grade} of 5` }))];

type Inherited = RecordData['classification']['buyer'];

/** A code that was offered and not filled in is not sent. */
function tidy(draft: ClassificationDraft): ClassificationDraft {
    return { ...draft, codes: draft.codes.filter(({ id, system, value }) => id !== null || system.trim() !== '' || value.trim() !== '') };
}

export function ClassificationSection({ record }: { record: RecordData }) {
    const edit = useSection(record, classificationSpec, { tidy });
    return (
        <SectionFrame
            edit={edit}
            saveLabel="Save classification"
            folded={factsOf(record).length === 0 ? 'No type, tag or owner yet.' : undefined}
            read={<Read record={record} />}
            fields={(draft) => <Fields record={record} draft={draft} problems={edit.problems} onChange={edit.change} />}
        />
    );
}

function factsOf({ classification }: RecordData): [string, React.ReactNode][] {
    const { types, tags, owner, accountManager, buyer, source, languageName, grade, noLettersText, codes } = classification;
    const facts: [string, React.ReactNode][] = [
        ['Types', types.join(', ')],
        ['Tags', tags.length > 0 && <Chips>{tags.map((tag) => <li key={tag}>{tag}</li>)}</Chips>],
        ['Looked after by', inherited(owner)],
        ['Account manager', inherited(accountManager)],
        ['Buyer', inherited(buyer)],
        ['Came from', source],
        ['Language', languageName],
        ['Letters', noLettersText],
        ['Grade', grade !== null && <>{grade} of 5 <Small>stays in the office</Small></>],
        ...codes.map(({ system, value }): [string, string] => [system.charAt(0).toUpperCase() + system.slice(1), value]),
    ];
    return facts.filter(([, value]) => Boolean(value));
}

function Read({ record }: { record: RecordData }) {
    return (
        <Facts>
            {factsOf(record).map(([name, value]) => (
                <div key={name} {...(name === 'Grade' ? { className: 'internal' } : {})}>
                    <dt>{name}</dt>
                    <dd>{value}</dd>
                </div>
            ))}
        </Facts>
    );
}

function inherited({ inForce, from }: Inherited) {
    return inForce !== null && <>{inForce.name} {from !== '' && <Small>as at {from}</Small>}</>;
}

interface FieldsProps {
    record: RecordData;
    draft: ClassificationDraft;
    problems: Record<string, string>;
    onChange: (draft: ClassificationDraft) => void;
}

function Fields({ record, draft, problems, onChange }: FieldsProps) {
    const { data: choices } = useQuery(choicesQuery);
    const types = useListed('types', draft.types);
    const tags = useListed('tags', draft.tags);
    const sources = useListed('sources');
    const set = (part: Partial<ClassificationDraft>) => onChange({ ...draft, ...part });
    const languages = [{ id: 'none', name: 'as the office' }, ...(choices?.languages ?? []).map(({ code, name }) => ({ id: code, name }))];
    const { accountManager, buyer, owner } = record.classification;

    return (
        <Stack $wide>
            <FieldRow>
                <Half>
                    <TagPicker
                        label="Types"
                        options={types}
                        value={draft.types}
                        onChange={(chosen) => set({ types: chosen })}
                        problem={problems.types}
                    />
                </Half>
                <Half>
                    <TagPicker
                        label="Tags"
                        takesNew
                        options={tags}
                        value={draft.tags}
                        onChange={(chosen) => set({ tags: chosen })}
                        problem={problems.tags}
                    />
                </Half>
            </FieldRow>
            <FieldRow>
                <Colleague
                    label="Looked after by"
                    value={draft.ownerId}
                    known={owner.own}
                    above={owner}
                    onChange={(ownerId) => set({ ownerId })}
                    problem={problems.ownerId}
                />
                <Colleague
                    label="Account manager"
                    value={draft.accountManagerId}
                    known={accountManager.own}
                    above={accountManager}
                    onChange={(accountManagerId) => set({ accountManagerId })}
                    problem={problems.accountManagerId}
                />
                <Colleague
                    label="Buyer"
                    value={draft.buyerId}
                    known={buyer.own}
                    above={buyer}
                    onChange={(buyerId) => set({ buyerId })}
                    problem={problems.buyerId}
                />
            </FieldRow>
            <FieldRow>
                <Suggest
                    label="Came from"
                    width="word"
                    options={asOptions(sources)}
                    value={draft.source}
                    onType={(source) => set({ source })}
                    problem={problems.source}
                />
                <ChooseFromMany
                    label="Language"
                    width="word"
                    options={languages}
                    value={draft.language || 'none'}
                    onChange={(id) => set({ language: id === 'none' ? '' : id })}
                    problem={problems.language}
                />
                <ChooseOne
                    label="Grade, for the office only"
                    width="word"
                    options={GRADES}
                    value={String(draft.grade ?? 0)}
                    onChange={(id) => set({ grade: Number(id) || null })}
                    problem={problems.grade}
                />
            </FieldRow>
            <FieldRow>
                <Field
                    label="Wants no letters since"
                    width="word"
                    value={draft.noLettersOn ?? ''}
                    onChange={(noLettersOn) => set({ noLettersOn })}
                    problem={problems.noLettersOn}
                />
                <Field
                    label="How they said so"
                    width="name"
                    value={draft.noLettersHow ?? ''}
                    onChange={(noLettersHow) => set({ noLettersHow })}
                    problem={problems.noLettersHow}
                />
            </FieldRow>
            <Codes rows={draft.codes} problems={problems} onChange={(codes) => set({ codes })} />
        </Stack>
    );
}


interface ColleagueProps {
    label: string;
    value: number | null;
    /** Who it is now, who may have left the office. */
    known: { id: number; name: string } | null;
    /** Whom it is taken over from when it has none of its own. */
    above?: Inherited;
    onChange: (id: number | null) => void;
    problem?: string | undefined;
}

function Colleague({ label, value, known, above, onChange, problem }: ColleagueProps) {
    const { data: choices } = useQuery(choicesQuery);
    const colleagues = choices?.colleagues ?? [];
    const gone = known !== null && !colleagues.some(({ id }) => id === known.id) ? [known] : [];
    const none = above !== undefined && above.from !== '' ? { id: 'none', name: `as at ${above.from}` } : NOBODY;
    return (
        <ChooseOne
            label={label}
            width="word"
            options={[none, ...byNumber([...colleagues, ...gone])]}
            value={value === null ? 'none' : String(value)}
            onChange={(id) => onChange(id === 'none' ? null : Number(id))}
            problem={problem}
        />
    );
}

/** Numbers and links from elsewhere. */
function Codes({ rows, problems, onChange }: { rows: CodeRow[]; problems: Record<string, string>; onChange: (rows: CodeRow[]) => void }) {
    const systems = asOptions(useListed('code-systems'));
    const change = (index: number, part: Partial<CodeRow>) => onChange(rows.map((row, at) => at === index ? { ...row, ...part } : row));
    return (
        <>
            {rows.map((row, index) => (
                <FieldRow key={row.key} $foot>
                    <Suggest
                        label="Whose number"
                        width="name"
                        options={systems}
                        value={row.system}
                        onType={(system) => change(index, { system })}
                        problem={problems[`codes.${index}.system`]}
                    />
                    <Field
                        label="Number or id"
                        width="word"
                        value={row.value}
                        onChange={(value) => change(index, { value })}
                        problem={problems[`codes.${index}.value`]}
                    />
                    <QuietButton
                        aria-label={`Remove the number ${row.value}`}
                        onPress={() => onChange(rows.filter((_, at) => at !== index))}
                    >
                        <X size={16} aria-hidden />
                    </QuietButton>
                </FieldRow>
            ))}
            <AddRow onAdd={() => onChange([...rows, { key: newKey(), id: null, system: '', value: '' }])}>
                Add a number from elsewhere
            </AddRow>
        </>
    );
}
