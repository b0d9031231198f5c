import { api, ask, type Schemas } from '../../../api/client';
import { keyed, type Keyed, type SectionSpec, bare } from './spec';

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
