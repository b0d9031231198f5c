import { api, ask, type Schemas } from '../../../api/client';
import { keyed, type Keyed, type SectionSpec, bare } from './spec';

export type TaxNumberRow = Keyed<Schemas['TaxNumberInput']> & { masked: string };

export interface TaxDraft {
    numbers: TaxNumberRow[];
    formOn: string;
    formBy: string;
    formFileId: number | null;
    reportChoice: Schemas['TaxNumbers']['reportChoice'];
    isAttorney: boolean;
}

function taxBody(version: number, { numbers, ...form }: TaxDraft): Schemas['TaxNumbersInput'] {
    return { version, ...form, taxNumbers: bare(numbers).map(({ masked, ...row }) => row) };
}

export const taxNumbersSpec: SectionSpec<TaxDraft> = {
    name: 'tax-numbers',
    title: () => 'Tax numbers',
    version: (record) => record.taxNumbers.version,
    draft: ({ taxNumbers: { numbers, formOn, formBy, formFileId, reportChoice, isAttorney } }) => ({
        numbers: numbers.map(({ id, kind, country, masked }) => ({ ...keyed({ id }), kind, country, masked, value: null })),
        formOn, formBy, formFileId, reportChoice, isAttorney,
    }),
    put: (id, version, draft, follow) =>
        ask(api.PUT('/api/parties/{id}/tax-numbers', { params: { path: { id } }, body: { ...taxBody(version, draft), follow } })),
    touched: (id, version, draft) =>
        ask(api.POST('/api/parties/{id}/touched/tax-numbers', { params: { path: { id } }, body: taxBody(version, draft) })),
};
