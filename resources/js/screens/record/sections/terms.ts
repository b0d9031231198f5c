import { api, ask, type Schemas } from '../../../api/client';
import type { SectionSpec } from './spec';

export interface TermsDraft {
    listedId: number | null;
    shorthand: string | null;
    /** What else is their own, by field; null is inherited. */
    fields: Record<string, string | null>;
}

function termsBody(version: number, { listedId, shorthand, fields }: TermsDraft): Schemas['TermsInput'] {
    return { version, listedId, shorthand, fields: Object.entries(fields).map(([name, value]) => ({ name, value })) };
}

function termsSpec(side: 'clientTerms' | 'vendorTerms', name: 'client-terms' | 'vendor-terms', title: string): SectionSpec<TermsDraft> {
    return {
        name,
        title: () => title,
        version: (record) => record[side].version,
        draft: (record) => ({
            listedId: record[side].listedId,
            shorthand: record[side].shorthand,
            fields: Object.fromEntries(record[side].fields.map((field) => [field.name, field.own])),
        }),
        put: (id, version, draft, follow) =>
            ask(api.PUT(`/api/parties/{id}/${name}`, { params: { path: { id } }, body: { ...termsBody(version, draft), follow } })),
        touched: (id, version, draft) =>
            ask(api.POST(`/api/parties/{id}/touched/${name}`, { params: { path: { id } }, body: termsBody(version, draft) })),
    };
}

export const clientTermsSpec = termsSpec('clientTerms', 'client-terms', 'When we bill them');

export const vendorTermsSpec = termsSpec('vendorTerms', 'vendor-terms', 'When we pay them');
