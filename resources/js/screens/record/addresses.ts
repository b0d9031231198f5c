import type { RecordData } from './sections/spec';

/** The addresses that a record uses today. */
export function inForce(record: RecordData): RecordData['addresses']['addresses'] {
    return record.addresses.addresses.filter(({ period }) => period.isInForce);
}

type Shared = Pick<RecordData['addresses']['addresses'][number], 'sharedWith' | 'sharedWithMore'>;

/** Of who uses the same address, those who are not named. */
export function andMore({ sharedWithMore }: Shared): string {
    return sharedWithMore === 0 ? '' : ` and ${sharedWithMore} more`;
}

/** Who uses the same address, by name. */
export function sharers(shared: Shared): string {
    return shared.sharedWith.map(({ name }) => name).join(', ') + andMore(shared);
}
