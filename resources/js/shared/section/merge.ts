type Fields = Record<string, unknown>;

const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);
const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value);
const isRows = (value: unknown): value is Fields[] => Array.isArray(value) && value.every((row) => isFields(row) && 'id' in row);

/**
 * What comes of two changes to one thing: of each field what was changed, and where both have changed it,
 * mine. Rows are told by their id; a row that only one of us has added, changed or removed stays so.
 */
export function merge<T>(start: T, mine: T, theirs: T): T {
    if (same(start, mine)) {
        return theirs;
    }
    if (same(start, theirs) || same(mine, theirs)) {
        return mine;
    }
    if (isFields(start) && isFields(mine) && isFields(theirs)) {
        return Object.fromEntries(Object.keys({ ...theirs, ...mine }).map((key) => [key, merge(start[key], mine[key], theirs[key])])) as T;
    }
    if (isRows(start) && isRows(mine) && isRows(theirs)) {
        const of = (rows: Fields[], id: unknown) => rows.find((row) => row.id === id);
        const kept = mine.flatMap((row) => {
            const before = row.id === null ? undefined : of(start, row.id);
            const other = row.id === null ? undefined : of(theirs, row.id);
            if (before === undefined) {
                return [row];
            }
            // Removed by the other: gone, unless it was changed here.
            return other === undefined ? (same(before, row) ? [] : [row]) : [merge(before, row, other)];
        });
        const added = theirs.filter((row) => of(start, row.id) === undefined && of(mine, row.id) === undefined);
        // Removed here, and changed by the other: theirs stays.
        const revived = theirs.filter(
            (row) => of(mine, row.id) === undefined && of(start, row.id) !== undefined && !same(of(start, row.id), row),
        );
        return [...kept, ...revived, ...added] as T;
    }
    return mine;
}
