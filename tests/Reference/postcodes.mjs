// Whether the npm package postal-codes-js takes postcodes as those of their country.
import { readFileSync, writeSync } from 'node:fs';
import postalCodes from 'postal-codes-js';

const asked = JSON.parse(readFileSync(0, 'utf8'));
writeSync(1, JSON.stringify(asked.map(([country, postcode]) => postalCodes.validate(country, postcode) === true)));
