import { useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { choicesQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { useLookAlikes } from '../../api/useLookAlikes';
import { titleOf, useTitles } from '../../shared/titles';
import { AlikeNotice } from '../../ui/AlikeNotice';
import { AddRow } from '../../ui/AddRow';
import { QuietButton } from '../../ui/Button';
import { byNumber, ChooseOne, Tick } from '../../ui/Choose';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Field } from '../../ui/Field';
import { Facts, FieldGroup, FieldRow, Quiet, Stack } from '../../ui/Text';
import { PrivateField } from '../../shared/PrivateField';
import { PrivateValue } from '../../shared/PrivateValue';
import { SectionFrame } from '../../shared/section/SectionFrame';
import { newKey, type RecordData } from './sections/spec';
import { taxNumbersSpec, type TaxDraft, type TaxNumberRow } from './sections/taxNumbers';
import { useSection } from './useSection';

const VAT = 'VAT';

/** A row that was offered and not filled in is not sent. */
function tidy(draft: TaxDraft): TaxDraft {
    return { ...draft, numbers: draft.numbers.filter(({ id, value }) => id !== null || (value ?? '').trim() !== '') };
}

const NO_FILE = 'none';

/** The numbers by which tax offices and registers know them; only the last signs are shown. */
export function TaxNumbersSection({ record }: { record: RecordData }) {
    const edit = useSection(record, taxNumbersSpec, { tidy });
    const { numbers, formOnText, formBy, isReportable, why } = record.taxNumbers;
    return (
        <SectionFrame
            edit={edit}
            saveLabel="Save tax numbers"
            folded={numbers.length === 0 && !record.party.isVendor ? 'No tax numbers yet.' : undefined}
            read={(
                <Facts>
                    {numbers.length === 0 && <div><dt>Tax number</dt><dd><Quiet>none yet</Quiet></dd></div>}
                    {numbers.map(({ id, kind, country, masked }) => (
                        <div key={id}>
                            <dt>{kind}{country !== '' && `, ${country}`}</dt>
                            <dd><PrivateValue id={record.party.id} name={kind} fieldId={null} taxNumberId={id} masked={masked} /></dd>
                        </div>
                    ))}
                    {record.party.isVendor && (
                        <>
                            <div>
                                <dt>Form W-9</dt>
                                <dd>
                                    {formOnText === '' ? (
                                        <Quiet>not on file</Quiet>
                                    ) : (
                                        `of ${formOnText}${formBy === '' ? '' : `, signed by ${formBy}`}`
                                    )}
                                </dd>
                            </div>
                            <div>
                                <dt>Tax report</dt>
                                <dd>
                                    {isReportable ? 'reported' : 'not reported'}. <Quiet>{why}</Quiet>
                                </dd>
                            </div>
                        </>
                    )}
                </Facts>
            )}
            fields={(draft) => (
                <>
                    <Fields rows={draft.numbers} problems={edit.problems} onChange={(numbers) => edit.change({ ...draft, numbers })} />
                    <Alikes record={record} rows={draft.numbers} />
                    {record.party.isVendor && <FormFields record={record} draft={draft} problems={edit.problems} onChange={edit.change} />}
                </>
            )}
        />
    );
}

/** Records that have a number that is typed here, and are likely to be the same. */
function Alikes({ record, rows }: { record: RecordData; rows: TaxNumberRow[] }) {
    const { given, family, name } = record.identity;
    const typed = rows.flatMap(({ kind, country, value }) => value === null || value.trim() === '' ? [] : [{ kind, country, value }]);
    const alikes = useLookAlikes({
        kind: record.party.kind, given, family, name, phones: [], emails: [], taxNumbers: typed, exceptId: record.party.id,
    });
    return <AlikeNotice alikes={typed.length === 0 ? [] : alikes} />;
}

interface FieldsProps {
    rows: TaxNumberRow[];
    problems: Record<string, string>;
    onChange: (rows: TaxNumberRow[]) => void;
}

function Fields({ rows, problems, onChange }: FieldsProps) {
    const { data: choices } = useQuery(choicesQuery);
    const kinds = useTitles('taxNumberKinds');
    const { officeCountry } = useSession();
    const change = (index: number, part: Partial<TaxNumberRow>) =>
        onChange(rows.map((row, at) => (at === index ? { ...row, ...part } : row)));
    const blank = (): TaxNumberRow => ({
        key: newKey(),
        id: null,
        masked: '',
        kind: officeCountry === 'US' ? 'EIN' : VAT,
        country: officeCountry === 'US' ? '' : (officeCountry ?? ''),
        value: '',
    });

    return (
        <Stack $wide>
            {rows.map((row, index) => (
                <FieldGroup
                    key={row.key}
                    aria-label={row.masked === '' ? `Number ${index + 1}` : `${titleOf(kinds, row.kind)} ${row.masked}`}
                >
                    <FieldRow $foot>
                        <ChooseOne
                            label="Kind"
                            width="name"
                            options={kinds}
                            value={row.kind}
                            onChange={(kind) => change(index, { kind, country: kind === VAT ? row.country : '' })}
                        />
                        {row.kind === VAT && (
                            <ChooseFromMany
                                label="Country"
                                width="name"
                                options={(choices?.vatCountries ?? []).map(({ code, name }) => ({ id: code, name }))}
                                value={row.country}
                                onChange={(country) => change(index, { country })}
                            />
                        )}
                        <QuietButton
                            aria-label={`Remove the ${titleOf(kinds, row.kind)}`}
                            onPress={() => onChange(rows.filter((_, at) => at !== index))}
                        >
                            <X size={16} aria-hidden />
                        </QuietButton>
                    </FieldRow>
                    <PrivateField
                        label="Number"
                        width="phrase"
                        value={row.value}
                        isKept={row.id !== null}
                        masked={row.masked}
                        onChange={(value) => change(index, { value })}
                        problem={problems[`taxNumbers.${index}.value`]}
                    />
                </FieldGroup>
            ))}
            <AddRow onAdd={() => onChange([...rows, blank()])}>Add a tax number</AddRow>
        </Stack>
    );
}

interface FormProps {
    record: RecordData;
    draft: TaxDraft;
    problems: Record<string, string>;
    onChange: (draft: TaxDraft) => void;
}

/** When form W-9 came in, and whether what they are paid is reported. */
function FormFields({ record, draft, problems, onChange }: FormProps) {
    const reportChoices = useTitles('reportChoices');
    return (
        <Stack $wide>
            <FieldRow>
                <Field
                    label="Form W-9 of"
                    width="code"
                    placeholder="not on file"
                    value={draft.formOn}
                    onChange={(formOn) => onChange({ ...draft, formOn })}
                    problem={problems.formOn}
                />
                <Field
                    label="Signed by"
                    width="name"
                    value={draft.formBy}
                    onChange={(formBy) => onChange({ ...draft, formBy })}
                    problem={problems.formBy}
                />
                <ChooseOne
                    label="File"
                    width="name"
                    options={[
                        { id: NO_FILE, name: 'none of the record' },
                        ...byNumber(record.files),
                    ]}
                    value={draft.formFileId === null ? NO_FILE : String(draft.formFileId)}
                    onChange={(id) => onChange({ ...draft, formFileId: id === NO_FILE ? null : Number(id) })}
                    problem={problems.formFileId}
                />
                <ChooseOne
                    label="In the tax report"
                    width="word"
                    options={reportChoices}
                    value={draft.reportChoice}
                    onChange={(choice) => onChange({ ...draft, reportChoice: choice as TaxDraft['reportChoice'] })}
                />
            </FieldRow>
            <Tick isSelected={draft.isAttorney} onChange={(isAttorney) => onChange({ ...draft, isAttorney })}>
                an attorney, who is always reported
            </Tick>
        </Stack>
    );
}
