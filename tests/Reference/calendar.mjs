// What a calendar program finds in a feed, by the npm package ical.js.
import { readFileSync, writeSync } from 'node:fs';
import ICAL from 'ical.js';

const calendar = new ICAL.Component(ICAL.parse(JSON.parse(readFileSync(0, 'utf8'))));
calendar.getAllSubcomponents('vtimezone').forEach((zone) => ICAL.TimezoneService.register(new ICAL.Timezone(zone)));
const method = calendar.getFirstPropertyValue('method') ?? '';
const invitation = (event, component) => ({
    method,
    sequence: event.sequence,
    status: component.getFirstPropertyValue('status') ?? '',
    location: event.location ?? '',
    description: event.description ?? '',
    minutes: event.duration.toSeconds() / 60,
    organizer: event.organizer ?? '',
    attendees: event.attendees.map((one) => [one.getParameter('cn'), one.getFirstValue(), one.getParameter('partstat')]),
});
writeSync(1, JSON.stringify(calendar.getAllSubcomponents('vevent').map((component) => {
    const event = new ICAL.Event(component);
    return {
        uid: event.uid,
        summary: event.summary,
        start: event.startDate.toString(),
        instant: event.startDate.toJSDate().toISOString(),
        rule: component.getFirstPropertyValue('rrule')?.toString() ?? '',
        url: component.getFirstPropertyValue('url') ?? '',
        ...(method === '' ? {} : invitation(event, component)),
    };
})));
