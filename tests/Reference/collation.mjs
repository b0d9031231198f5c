// The order of names by Node's Intl.Collator, which has CLDR's data of its own.
import { readFileSync } from 'node:fs';

const names = JSON.parse(readFileSync(0, 'utf8'));
process.stdout.write(JSON.stringify([...names].sort(new Intl.Collator('en', { numeric: true }).compare)));
