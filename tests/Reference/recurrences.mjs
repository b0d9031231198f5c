// The days on which recurrence rules fall, by the npm package ical.js.
import { readFileSync, writeSync } from 'node:fs';
import ICAL from 'ical.js';

const asked = JSON.parse(readFileSync(0, 'utf8'));
writeSync(1, JSON.stringify(asked.map(({ rule, start, count }) => {
    const iterator = ICAL.Recur.fromString(rule).iterator(ICAL.Time.fromDateString(start));
    const days = [];
    for (let next = iterator.next(); next && days.length < count; next = iterator.next()) {
        days.push(next.toString());
    }
    return days;
})));
