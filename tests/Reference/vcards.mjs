// Contact cards as the npm package vcard4 reads them: what each property says, by its name.
import { readFileSync } from 'node:fs';
import { parse } from 'vcard4';

const cards = JSON.parse(readFileSync(0, 'utf8'));

process.stdout.write(JSON.stringify(cards.map((card) => {
    const said = {};
    for (const { property, parameters, value } of parse(card).parsedVcard) {
        (said[property] ??= []).push({ parameters, value });
    }
    return said;
})));
