// What another reader of calendars finds in some: a line a fault, then what stands in each. usage: node judge-calendar.mjs FILE…
import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';

for (const file of process.argv.slice(2)) {
    const calendar = new ICAL.Component(ICAL.parse(readFileSync(file, 'utf8')));
    for (const entry of calendar.getAllSubcomponents('vevent')) {
        const { summary, startDate, endDate, uid, component } = new ICAL.Event(entry);
        const times = [];
        const rhythm = component.hasProperty('rrule') ? new ICAL.RecurExpansion({ component, dtstart: startDate }) : null;
        for (let next = rhythm?.next(); next && times.length < 3; next = rhythm.next()) {
            times.push(next.toString());
        }
        console.log([summary, startDate.toString(), endDate.toString(), startDate.isDate, ...times, uid ? '' : 'no id'].filter((one) => one !== '').join(' | '));
    }
}
