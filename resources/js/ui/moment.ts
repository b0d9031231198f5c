const SHAPE = { day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit' } as const;

let moments = new Intl.DateTimeFormat('en-GB', SHAPE);

/** From now on moments are told by the clock of that time zone: the office's. */
export function tellMomentsIn(zone: string): void {
    moments = new Intl.DateTimeFormat('en-GB', { ...SHAPE, timeZone: zone });
}

/** A moment for reading, by the office's clock: 24 Nov 2026, 09:30. */
export function momentText(iso: string): string {
    // British English alone has four letters for one month; days read Sep everywhere else.
    return moments.format(new Date(iso)).replace('Sept', 'Sep');
}
