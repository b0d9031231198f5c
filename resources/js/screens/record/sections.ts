import { api, ask, type Schemas } from '../../api/client';

export type RecordData = Schemas['Record'];
export type Follow = Schemas['FollowInput'];

/** How a section of a record is read into a draft, and how the draft is saved. */
export interface SectionSpec<D> {
    name: string;
    title: (record: RecordData) => string;
    version: (record: RecordData) => number;
    draft: (record: RecordData) => D;
    /** Saves it; the documents that are to follow go with it, where it is asked. */
    put: (id: number, version: number, draft: D, follow?: Follow) => Promise<RecordData>;
    /** Which drafts and open documents carry what saving it would change; asked before it is saved. */
    touched?: (id: number, version: number, draft: D) => Promise<Schemas['TouchedDocuments']>;
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

export type IdentityDraft = Required<Omit<Schemas['IdentityInput'], 'version' | 'follow'>>;

export const identitySpec: SectionSpec<IdentityDraft> = {
    name: 'identity',
    title: () => 'Name and roles',
    version: (record) => record.identity.version,
    draft: ({ identity: { version, hasBirthDate, age, ...names } }) => ({ ...names, birthDate: null }),
    put: (id, version, draft, follow) => ask(api.PUT('/api/parties/{id}/identity', {
        params: { path: { id } }, body: { version, follow, ...draft },
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
    draft: (record) => record.reach.contactPoints.map(({ id, kind, value, label, uses, isPrimary, sameAsId, addressUseId }) =>
        keyed({ id, kind, value, label, uses, isPrimary, sameAsId, addressUseId })),
    put: (id, version, draft) => ask(api.PUT('/api/parties/{id}/reach', {
        params: { path: { id } }, body: { version, contactPoints: bare(draft) },
    })),
};

export type AddressRow = Keyed<Schemas['AddressInput']> & {
    /** Whose address is used by link, in words. */
    linkedTo: string;
    /** The linked address, for reading. */
    text: string[];
    /** The address as it is kept, and whether others use it too. */
    addressId: number | null;
    isShared: boolean;
};

/** An address as it is sent. */
function addressBody(version: number, draft: AddressRow[]): Schemas['AddressesInput'] {
    return { version, addresses: bare(draft).map(({ linkedTo, text, addressId, isShared, ...row }) => row) };
}

export const addressesSpec: SectionSpec<AddressRow[]> = {
    name: 'addresses',
    title: () => 'Addresses',
    version: (record) => record.addresses.version,
    draft: (record) => record.addresses.addresses.map((address) => ({
        ...keyed({ id: address.id }),
        linkedAddressId: address.sameAs === null ? null : address.addressId,
        linkedTo: address.sameAs?.name ?? '',
        text: address.text,
        addressId: address.addressId,
        isShared: address.sharedWith.length > 0,
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
    put: (id, version, draft, follow) => ask(api.PUT('/api/parties/{id}/addresses', {
        params: { path: { id } }, body: { ...addressBody(version, draft), follow },
    })),
    touched: (id, version, draft) => ask(api.POST('/api/parties/{id}/touched/addresses', {
        params: { path: { id } }, body: addressBody(version, draft),
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

export type RelationRow = Keyed<Required<Schemas['RelationInput']>> & {
    partyName: string;
};

/** Each has its own, this record uses the other's by link, or the other uses this one's. */
export type Whose = NonNullable<RelationRow['address']>;

export const relationsSpec: SectionSpec<RelationRow[]> = {
    name: 'relations',
    title: () => 'Relations',
    version: (record) => record.relations.version,
    draft: (record) =>
        record.relations.relations.map(({ id, kind, together, party, period }) => ({
            ...keyed({ id }),
            partyId: party.id,
            partyName: party.displayName,
            kind,
            together,
            address: 'own',
            addressId: null,
            phone: 'own',
            since: period.sinceText,
            until: period.untilText,
        })),
    put: (id, version, draft) =>
        ask(
            api.PUT('/api/parties/{id}/relations', {
                params: { path: { id } },
                body: { version, relations: bare(draft).map(({ partyName, ...row }) => row) },
            }),
        ),
};

export type CodeRow = Keyed<Schemas['CodeInput']>;

export type ClassificationDraft = Omit<Schemas['ClassificationInput'], 'version' | 'codes'> & { codes: CodeRow[] };

export const classificationSpec: SectionSpec<ClassificationDraft> = {
    name: 'classification',
    title: () => 'Classification',
    version: (record) => record.classification.version,
    draft: ({ classification: { types, tags, owner, accountManager, buyer, source, language, grade, codes } }) => ({
        types, tags, source, language, grade,
        ownerId: owner.own?.id ?? null,
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
    put: (id, version, draft, follow) =>
        ask(api.PUT('/api/parties/{id}/tax-numbers', { params: { path: { id } }, body: { ...taxBody(version, draft), follow } })),
    touched: (id, version, draft) =>
        ask(api.POST('/api/parties/{id}/touched/tax-numbers', { params: { path: { id } }, body: taxBody(version, draft) })),
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
