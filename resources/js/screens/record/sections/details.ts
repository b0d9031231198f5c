import { api, ask } from '../../../api/client';
import { sheetsDraft, sheetsInput, type SheetsDraft } from '../../../shared/SheetFields';
import type { SectionSpec } from './spec';

export const detailsSpec: SectionSpec<SheetsDraft> = {
    name: 'details',
    title: () => 'Details',
    version: (record) => record.details.version,
    draft: (record) => sheetsDraft(record.details.sheets),
    put: (id, version, draft) =>
        ask(api.PUT('/api/parties/{id}/details', { params: { path: { id } }, body: { version, values: sheetsInput(draft) } })),
};
