import { useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { choicesQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { useLookAlikes } from '../../api/useLookAlikes';
import { AlikeNotice } from '../../ui/AlikeNotice';
import { Button, QuietButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Facts, FieldGroup, FieldRow, Quiet, Stack } from '../../ui/Text';
import { PrivateField, PrivateValue } from './PrivateValue';
import { SectionFrame } from './SectionFrame';
import { newKey, taxNumbersSpec, type RecordData, type TaxNumberRow } from './sections';
import { useSection } from './useSection';

const VAT = 'VAT number';

/** A row that was offered and not filled in is not sent. */
function tidy(rows: TaxNumberRow[]): TaxNumberRow[] {
    return rows.filter(({ id, value }) => id !== null || (value ?? '').trim() !== '');
}

/** The numbers by which tax offices and registers know them; only the last signs are shown. */
export function TaxNumbersSection({ record }: { record: RecordData }) {
    const edit = useSection(record, taxNumbersSpec, { tidy });
    const { numbers } = record.taxNumbers;
    return (
        <SectionFrame
            edit={edit}
            saveLabel="Save tax numbers"
            read={numbers.length === 0 ? <Quiet>No tax number yet.</Quiet> : (
                <Facts>
                    {numbers.map(({ id, kind, country, masked }) => (
                        <div key={id}>
                            <dt>{kind}{country !== '' && `, ${country}`}</dt>
                            <dd><PrivateValue partyId={record.party.id} name={kind} fieldId={null} taxNumberId={id} masked={masked} /></dd>
                        </div>
                    ))}
                </Facts>
            )}
            fields={(draft) => (
                <>
                    <Fields rows={draft} problems={edit.problems} onChange={edit.change} />
                    <Alikes record={record} rows={draft} />
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
    const { officeCountry } = useSession();
    const change = (index: number, part: Partial<TaxNumberRow>) => onChange(rows.map((row, at) => at === index ? { ...row, ...part } : row));
    const blank = (): TaxNumberRow => ({ key: newKey(), id: null, masked: '', kind: officeCountry === 'US' ? 'EIN' : VAT, country: officeCountry === 'US' ? '' : officeCountry ?? '', value: '' });

    return (
        <Stack style={{ width: '100%' }}>
            {rows.map((row, index) => (
                <FieldGroup key={row.key} aria-label={row.masked === '' ? `Number ${index + 1}` : `${row.kind} ${row.masked}`}>
                    <FieldRow style={{ alignItems: 'flex-end' }}>
                        <ChooseOne label="Kind" width="230px" options={(choices?.taxNumberKinds ?? []).map((id) => ({ id, name: id }))} value={row.kind} onChange={(kind) => change(index, { kind, country: kind === VAT ? row.country : '' })} />
                        {row.kind === VAT && (
                            <ChooseFromMany label="Of which country" width="200px" options={(choices?.vatCountries ?? []).map(({ code, name }) => ({ id: code, name }))} value={row.country} onChange={(country) => change(index, { country })} />
                        )}
                        <QuietButton aria-label={`Remove the ${row.kind}`} onPress={() => onChange(rows.filter((_, at) => at !== index))}><X size={16} aria-hidden /></QuietButton>
                    </FieldRow>
                    <PrivateField label="Number" width="260px" value={row.value} isKept={row.id !== null} masked={row.masked} onChange={(value) => change(index, { value })} problem={problems[`taxNumbers.${index}.value`]} />
                </FieldGroup>
            ))}
            <Button onPress={() => onChange([...rows, blank()])}>Add a tax number</Button>
        </Stack>
    );
}
