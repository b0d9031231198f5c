import { api, ask } from '../../../api/client';
import type { SectionSpec } from './spec';

/** By field; null for a secret that stays as it is. */
export type DetailsDraft = Record<string, string | null>;

export const detailsSpec: SectionSpec<DetailsDraft> = {
    name: 'details',
    title: () => 'Details',
    version: (record) => record.details.version,
    draft: (record) => Object.fromEntries(record.details.sheets.flatMap(({ fields }) => fields)
        .filter(({ isAskedFor }) => isAskedFor)
        .map(({ id, kind, value }) => [String(id), kind === 'secret' ? null : value])),
    put: (id, version, draft) => ask(api.PUT('/api/parties/{id}/details', {
        params: { path: { id } },
        body: { version, values: Object.entries(draft).map(([fieldId, value]) => ({ fieldId: Number(fieldId), value })) },
    })),
};
