// The sounds of names by the npm package talisman (Philips, 1990).
import { readFileSync, writeSync } from 'node:fs';
import metaphone from 'talisman/phonetics/metaphone.js';

writeSync(1, JSON.stringify(JSON.parse(readFileSync(0, 'utf8')).map((name) => (metaphone.default ?? metaphone)(name))));
