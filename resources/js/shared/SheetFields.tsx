import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { useSession } from '../api/session';
import { asOptions, ChooseOne, ChooseSeveral } from '../ui/Choose';
import { Field } from '../ui/Field';
import { Facts, FieldGroup, Paragraphs, Quiet, Small, SubHeading } from '../ui/Text';
import type { Width } from '../ui/tokens';
import { PrivateField } from './PrivateField';

type Sheet = Schemas['RecordSheet'];
type SheetField = Sheet['fields'][number];

/** What is typed, by the number of the field; null leaves a secret as it is. */
export type SheetsDraft = Record<string, string | null>;

const NONE = { id: '', name: 'not stated' };
const WIDTHS: Partial<Record<SheetField['kind'], Width>> = {
    number: 'day',
    date: 'day',
    amount: 'day',
    text: 'wide',
    secret: 'wide',
};

/** Nothing is filled in. */
export function areBlank(sheets: Sheet[]): boolean {
    return sheets.every(({ fields }) => fields.every(({ isFilled }) => !isFilled));
}

/** What there is to type, as it is kept. */
export function sheetsDraft(sheets: Sheet[]): SheetsDraft {
    return Object.fromEntries(
        sheets.flatMap(({ fields }) =>
            fields.filter(({ isAskedFor }) => isAskedFor).map(({ id, kind, value }) => [String(id), kind === 'secret' ? null : value]),
        ),
    );
}

/** What a detail sheet holds; what is secret is shown by whoever shows it. */
export function SheetView({ sheet, secret }: { sheet: Sheet; secret: (field: SheetField) => ReactNode }) {
    const filled = sheet.fields.filter(({ isFilled }) => isFilled);
    return (
        <div>
            <SubHeading>{sheet.name}</SubHeading>
            {filled.length === 0 ? (
                <Quiet>Nothing filled in yet.</Quiet>
            ) : (
                <Facts>
                    {filled.map((field) => (
                        <div key={field.id}>
                            <dt>{field.name}</dt>
                            <Paragraphs as="dd">
                                {field.kind === 'secret' ? (
                                    secret(field)
                                ) : (
                                    field.display
                                )}
                                {!field.isAskedFor && (
                                    <>
                                        {' '}
                                        <Small>no longer asked for</Small>
                                    </>
                                )}
                            </Paragraphs>
                        </div>
                    ))}
                </Facts>
            )}
        </div>
    );
}

/** As it is sent. */
export function sheetsInput(draft: SheetsDraft) {
    return Object.entries(draft).map(([fieldId, value]) => ({ fieldId: Number(fieldId), value }));
}

interface FieldsProps {
    sheet: Sheet;
    draft: SheetsDraft;
    problems: Record<string, string>;
    onChange: (draft: SheetsDraft) => void;
}

/** The fields of a detail sheet, to be filled in. */
export function SheetFields({ sheet, draft, problems, onChange }: FieldsProps) {
    // Problems come by the place in what was sent, which is the draft's own order.
    const order = Object.keys(draft);
    const asked = sheet.fields.filter(({ isAskedFor }) => isAskedFor);
    return (
        asked.length > 0 && (
            <FieldGroup>
                <legend>{sheet.name}</legend>
                {asked.map((field) => (
                    <OneField
                        key={field.id}
                        field={field}
                        value={draft[field.id] ?? null}
                        problem={problems[`values.${order.indexOf(String(field.id))}.value`]}
                        onChange={(value) => onChange({ ...draft, [field.id]: value })}
                    />
                ))}
            </FieldGroup>
        )
    );
}

interface OneFieldProps {
    field: SheetField;
    value: string | null;
    problem: string | undefined;
    onChange: (value: string | null) => void;
}

function OneField({ field, value, problem, onChange }: OneFieldProps) {
    const { maySeePrivate } = useSession();
    const hint = field.help === '' ? {} : { hint: field.help };
    const width = WIDTHS[field.kind];
    const sized = width === undefined ? {} : { width };
    const text = value ?? '';
    switch (field.kind) {
        case 'secret':
            return maySeePrivate ? (
                <PrivateField
                    label={field.name}
                    value={value}
                    isKept={field.isFilled}
                    onChange={onChange}
                    problem={problem}
                    {...hint}
                    {...sized}
                />
            ) : (
                <Quiet>{field.name}: private</Quiet>
            );
        case 'several-choices':
            return (
                <ChooseSeveral
                    label={field.name}
                    options={asOptions([...new Set([...field.options, ...text.split('\n').filter((one) => one !== '')])])}
                    value={text.split('\n').filter((one) => one !== '')}
                    onChange={(chosen) => onChange(chosen.join('\n'))}
                />
            );
        case 'choice':
        case 'yes-or-no': {
            const options = field.kind === 'choice' ? [...new Set([...field.options, text].filter((one) => one !== ''))] : ['yes', 'no'];
            return (
                <ChooseOne
                    label={field.name}
                    width="phrase"
                    options={[{ ...NONE, id: 'none' }, ...options.map((name) => ({ id: `=${name}`, name }))]}
                    value={text === '' ? 'none' : `=${text}`}
                    onChange={(id) => onChange(id === 'none' ? '' : id.slice(1))}
                    problem={problem}
                />
            );
        }
        default:
            return (
                <Field
                    label={field.name}
                    value={text}
                    onChange={onChange}
                    problem={problem}
                    {...hint}
                    {...sized}
                    {...(field.kind === 'long-text' ? { lines: 3 } : {})}
                />
            );
    }
}
