import type { RecordData } from './sections/spec';

/** The addresses that a record uses today. */
export function inForce(record: RecordData): RecordData['addresses']['addresses'] {
    return record.addresses.addresses.filter(({ period }) => period.isInForce);
}
