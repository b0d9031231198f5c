const MOMENT = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit' });

/** A moment for reading: 24 Nov 2026, 09:30. */
export function momentText(iso: string): string {
    return MOMENT.format(new Date(iso));
}
