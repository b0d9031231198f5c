import { useSession } from '../../api/session';
import { asOptions, ChooseOne, ChooseSeveral } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Facts, FieldGroup, Paragraphs, Quiet, Small, SubHeading } from '../../ui/Text';
import { PrivateField, PrivateValue } from './PrivateValue';
import { SectionFrame } from '../../shared/section/SectionFrame';
import { detailsSpec, type DetailsDraft } from './sections/details';
import type { RecordData } from './sections/spec';
import type { Width } from '../../ui/tokens';
import { useSection } from './useSection';

type Sheet = RecordData['details']['sheets'][number];
type SheetField = Sheet['fields'][number];

const NONE = { id: '', name: 'not stated' };
const WIDTHS: Partial<Record<SheetField['kind'], Width>> = {
    number: 'day',
    date: 'day',
    amount: 'day',
    text: 'wide',
    secret: 'wide',
};

/** The firm's own fields. */
export function DetailsSection({ record }: { record: RecordData }) {
    const { sheets } = record.details;
    const edit = useSection(record, detailsSpec);
    if (sheets.length === 0) {
        return null;
    }
    return (
        <SectionFrame
            edit={edit}
            saveLabel="Save details"
            folded={
                sheets.every(({ fields }) => fields.every(({ isFilled }) => !isFilled))
                    ? `Nothing filled in yet: ${sheets.map(({ name }) => name).join(', ')}.`
                    : undefined
            }
            read={sheets.map((sheet) => (
                <SheetView key={sheet.id} partyId={record.party.id} sheet={sheet} />
            ))}
            fields={(draft) =>
                sheets.map((sheet) => (
                    <SheetFields key={sheet.id} sheet={sheet} draft={draft} problems={edit.problems} onChange={edit.change} />
                ))
            }
        />
    );
}

function SheetView({ partyId, sheet }: { partyId: number; sheet: Sheet }) {
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
                                    <PrivateValue partyId={partyId} name={field.name} fieldId={field.id} />
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

interface FieldsProps {
    sheet: Sheet;
    draft: DetailsDraft;
    problems: Record<string, string>;
    onChange: (draft: DetailsDraft) => void;
}

function SheetFields({ sheet, draft, problems, onChange }: FieldsProps) {
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
