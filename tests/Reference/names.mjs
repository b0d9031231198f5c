// Names taken apart by the npm package humanname.
import { readFileSync, writeSync } from 'node:fs';
import humanname from 'humanname';

writeSync(1, JSON.stringify(JSON.parse(readFileSync(0, 'utf8')).map((name) => humanname.parse(name))));
