// Addresses laid out by two npm packages, for comparison with ours.
import { readFileSync, writeSync } from 'node:fs';
import fragaria from '@fragaria/address-formatter';
import { formatAddress } from 'localized-address-format';

const addresses = JSON.parse(readFileSync(0, 'utf8'));
const format = fragaria.default ?? fragaria;
writeSync(1, JSON.stringify(addresses.map(({ country, street, locality, region, postcode, person, organisation }) => ({
    localized: formatAddress({
        postalCountry: country, administrativeArea: region, locality, postalCode: postcode,
        addressLines: [street], organization: organisation, name: person,
    }),
    fragaria: format.format({ road: street, city: locality, stateCode: region, postcode, countryCode: country }).trim().split('\n'),
}))));
