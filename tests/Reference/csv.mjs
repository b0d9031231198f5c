// Tables as the npm package csv-parse reads them.
import { readFileSync } from 'node:fs';
import { parse } from 'csv-parse/sync';

process.stdout.write(JSON.stringify(JSON.parse(readFileSync(0, 'utf8')).map((text) => parse(text, {
    bom: true, relax_column_count: true, skip_empty_lines: true, trim: true,
}))));
