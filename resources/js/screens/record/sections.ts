import { api, ask, type Schemas } from '../../api/client';

export type RecordData = Schemas['Record'];

/** How a section of a record is read into a draft, and how the draft is saved. */
export interface SectionSpec<D> {
    name: string;
    title: (record: RecordData) => string;
    version: (record: RecordData) => number;
    draft: (record: RecordData) => D;
    put: (id: number, version: number, draft: D) => Promise<RecordData>;
    /** Which drafts and open documents carry what saving it would change; asked before it is saved. */
    touched?: (id: number, version: number, draft: D) => Promise<Schemas['TouchedDocuments']>;
    /** False where the draft has replaced what is not known here, and cannot be put back. */
    isUndoable?: (draft: D) => boolean;
}

/** A row of a list that is being edited: the key stays while rows come and go. */
export type Keyed<T> = T & { key: string };

let made = 0;

export function newKey(): string {
    made += 1;
    return `new-${made}`;
}

function keyed<T extends { id: number | null }>(row: T): Keyed<T> {
    return { ...row, key: row.id === null ? newKey() : String(row.id) };
}

function bare<T>(rows: Keyed<T>[]): T[] {
    return rows.map(({ key, ...row }) => row as T);
}

export type IdentityDraft = Required<Omit<Schemas['IdentityInput'], 'version'>>;

export const identitySpec: SectionSpec<IdentityDraft> = {
    name: 'identity',
    title: () => 'Name and roles',
    version: (record) => record.identity.version,
    draft: ({ identity: { version, hasBirthDate, age, ...names } }) => ({ ...names, birthDate: null }),
    isUndoable: ({ birthDate }) => birthDate === null,
    put: (id, version, draft) => ask(api.PUT('/api/parties/{id}/identity', {
        params: { path: { id } }, body: { version, ...draft },
    })),
    touched: (id, version, draft) => ask(api.POST('/api/parties/{id}/touched/identity', {
        params: { path: { id } }, body: { version, ...draft },
    })),
};

export type ContactRow = Keyed<Schemas['ContactPointInput']>;

export const reachSpec: SectionSpec<ContactRow[]> = {
    name: 'reach',
    title: () => 'Reach',
    version: (record) => record.reach.version,
    draft: (record) => record.reach.contactPoints.map(({ id, kind, value, label, uses, isPrimary, sameAs, addressUseId }) =>
        keyed({ id, kind, value, label, uses, isPrimary, isLinked: sameAs !== null, addressUseId })),
    put: (id, version, draft) => ask(api.PUT('/api/parties/{id}/reach', {
        params: { path: { id } }, body: { version, contactPoints: bare(draft) },
    })),
};

export type AddressRow = Keyed<Schemas['AddressInput']> & {
    /** Whose address is used by link, in words. */
    linkedTo: string;
    /** The linked address, for reading. */
    text: string[];
};

export const addressesSpec: SectionSpec<AddressRow[]> = {
    name: 'addresses',
    title: () => 'Addresses',
    version: (record) => record.addresses.version,
    draft: (record) => record.addresses.addresses.map((address) => ({
        ...keyed({ id: address.id }),
        linkedAddressId: address.sameAs === null ? null : address.addressId,
        linkedTo: address.sameAs?.name ?? '',
        text: address.text,
        country: address.country,
        lines: address.lines,
        locality: address.locality,
        region: address.region,
        postcode: address.postcode,
        attention: address.attention,
        careOf: address.careOf,
        uses: address.uses,
        isPrimary: address.isPrimary,
        since: address.period.sinceText,
        until: address.period.untilText,
    })),
    put: (id, version, draft) => ask(api.PUT('/api/parties/{id}/addresses', {
        params: { path: { id } },
        body: { version, addresses: bare(draft).map(({ linkedTo, text, ...row }) => row) },
    })),
    touched: (id, version, draft) => ask(api.POST('/api/parties/{id}/touched/addresses', {
        params: { path: { id } },
        body: { version, addresses: bare(draft).map(({ linkedTo, text, ...row }) => row) },
    })),
};

export type PositionRow = Keyed<Schemas['PositionInput']> & { partyName: string };

export const positionsSpec: SectionSpec<PositionRow[]> = {
    name: 'positions',
    title: (record) => record.party.kind === 'person' ? 'Positions' : 'People',
    version: (record) => record.positions.version,
    draft: (record) => record.positions.positions.map((position) => ({
        ...keyed({ id: position.id }),
        partyId: position.party.id,
        partyName: position.party.displayName,
        title: position.title,
        department: position.department,
        duties: position.duties,
        firstFor: position.firstFor,
        isPrimary: position.isPrimary,
        since: position.period.sinceText,
        until: position.period.untilText,
    })),
    put: (id, version, draft) => ask(api.PUT('/api/parties/{id}/positions', {
        params: { path: { id } },
        body: { version, positions: bare(draft).map(({ partyName, ...row }) => row) },
    })),
};

export type RelationRow = Keyed<Schemas['RelationInput']> & {
    partyName: string;
    /** Of a new one: whether the other's address and phone are used here by link. */
    takesAddress: boolean;
    takesPhone: boolean;
};

export const relationsSpec: SectionSpec<RelationRow[]> = {
    name: 'relations',
    title: () => 'Relations',
    version: (record) => record.relations.version,
    draft: (record) => record.relations.relations.map(({ id, kind, together, party, period }) => ({
        ...keyed({ id }), partyId: party.id, partyName: party.displayName, kind, together, takesAddress: false, takesPhone: false, since: period.sinceText, until: period.untilText,
    })),
    put: async (id, version, draft) => {
        let saved = await ask(api.PUT('/api/parties/{id}/relations', {
            params: { path: { id } },
            body: { version, relations: bare(draft).map(({ partyName, takesAddress, takesPhone, ...row }) => row) },
        }));
        for (const { partyId, takesAddress: address, takesPhone: phone } of draft.filter((row) => row.takesAddress || row.takesPhone)) {
            saved = await ask(api.POST('/api/parties/{id}/take-over', { params: { path: { id } }, body: { fromId: partyId, address, phone } }));
        }
        return saved;
    },
};

export type CodeRow = Keyed<Schemas['CodeInput']>;

export type ClassificationDraft = Omit<Schemas['ClassificationInput'], 'version' | 'codes'> & { codes: CodeRow[] };

export const classificationSpec: SectionSpec<ClassificationDraft> = {
    name: 'classification',
    title: () => 'Classification',
    version: (record) => record.classification.version,
    draft: ({ classification: { types, tags, owner, accountManager, buyer, source, language, grade, codes } }) => ({
        types, tags, source, language, grade,
        ownerId: owner?.id ?? null,
        accountManagerId: accountManager.own?.id ?? null,
        buyerId: buyer.own?.id ?? null,
        codes: codes.map(keyed),
    }),
    put: (id, version, draft) => ask(api.PUT('/api/parties/{id}/classification', {
        params: { path: { id } }, body: { ...draft, version, codes: bare(draft.codes) },
    })),
};

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
    // What was replaced or removed is not known here, and cannot be put back.
    isUndoable: () => false,
    put: (id, version, draft) => ask(api.PUT('/api/parties/{id}/tax-numbers', { params: { path: { id } }, body: taxBody(version, draft) })),
    touched: (id, version, draft) => ask(api.POST('/api/parties/{id}/touched/tax-numbers', { params: { path: { id } }, body: taxBody(version, draft) })),
};

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
            listedId: record[side].listedId, shorthand: record[side].shorthand, fields: Object.fromEntries(record[side].fields.map((field) => [field.name, field.own])),
        }),
        put: (id, version, draft) => ask(api.PUT(`/api/parties/{id}/${name}`, { params: { path: { id } }, body: termsBody(version, draft) })),
        touched: (id, version, draft) => ask(api.POST(`/api/parties/{id}/touched/${name}`, { params: { path: { id } }, body: termsBody(version, draft) })),
    };
}

export const clientTermsSpec = termsSpec('clientTerms', 'client-terms', 'When we bill them');
export const vendorTermsSpec = termsSpec('vendorTerms', 'vendor-terms', 'When we pay them');
