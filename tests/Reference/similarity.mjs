// The Jaro-Winkler similarity by the npm package talisman.
import { readFileSync, writeSync } from 'node:fs';
import jaroWinkler from 'talisman/metrics/jaro-winkler.js';

writeSync(1, JSON.stringify(JSON.parse(readFileSync(0, 'utf8')).map(([one, other]) => jaroWinkler.similarity(one, other))));
