// Whether numbers are valid by the npm package stdnum: [[country, name], [numbers]] each.
import { readFileSync, writeSync } from 'node:fs';
import { stdnum } from 'stdnum';

const asked = JSON.parse(readFileSync(0, 'utf8'));
const answers = asked.map(([country, name, numbers]) => numbers.map((number) => stdnum[country][name].validate(number).isValid));
const text = JSON.stringify(answers);
for (let at = 0; at < text.length; at += 60000) {
    writeSync(1, text.slice(at, at + 60000));
}
