import { areBlank, SheetFields, SheetView } from '../../shared/SheetFields';
import { SectionFrame } from '../../shared/section/SectionFrame';
import { PrivateValue } from '../../shared/PrivateValue';
import { detailsSpec } from './sections/details';
import type { RecordData } from './sections/spec';
import { useSection } from './useSection';

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
            folded={areBlank(sheets) ? `Nothing filled in yet: ${sheets.map(({ name }) => name).join(', ')}.` : undefined}
            read={sheets.map((sheet) => (
                <SheetView
                    key={sheet.id}
                    sheet={sheet}
                    secret={({ id, name }) => <PrivateValue id={record.party.id} name={name} fieldId={id} />}
                />
            ))}
            fields={(draft) =>
                sheets.map((sheet) => (
                    <SheetFields key={sheet.id} sheet={sheet} draft={draft} problems={edit.problems} onChange={edit.change} />
                ))
            }
        />
    );
}
