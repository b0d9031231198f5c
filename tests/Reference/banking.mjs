// Whether numbers are valid by the npm packages ibantools and bank-routing-number-validator: { ibans, bics, routing }.
import { readFileSync, writeSync } from 'node:fs';
import { isValidBIC, isValidIBAN, getCountrySpecifications } from 'ibantools';
import routing from 'bank-routing-number-validator';

const asked = JSON.parse(readFileSync(0, 'utf8'));
const text = JSON.stringify({
    ibans: asked.ibans.map((iban) => isValidIBAN(iban)),
    bics: asked.bics.map((bic) => isValidBIC(bic)),
    routing: asked.routing.map((number) => routing.ABARoutingNumberIsValid(number)),
    countries: Object.entries(getCountrySpecifications())
        .filter(([, { IBANRegistry }]) => IBANRegistry)
        .map(([code, { chars, bban_regexp }]) => [code, chars, bban_regexp]),
});
for (let at = 0; at < text.length; at += 60000) {
    writeSync(1, text.slice(at, at + 60000));
}
