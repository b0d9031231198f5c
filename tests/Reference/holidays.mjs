// The public holidays of the United States by the npm package date-holidays, as observed.
import { writeSync } from 'node:fs';
import Holidays from 'date-holidays';

const holidays = new Holidays('US');
const years = {};
for (let year = 2020; year <= 2035; year++) {
    years[year] = holidays.getHolidays(year)
        .filter(({ type }) => type === 'public')
        .map(({ date, name, rule }) => ({ date: date.slice(0, 10), name, rule }));
}
writeSync(1, JSON.stringify(years));
