import type { Schemas } from '../../api/client';

export interface LineDecision {
    isKept: boolean;
    label?: string;
    isPrimary?: boolean;
}

/** What somebody has decided of records that are to become one. */
export interface Decided {
    keptId: number | null;
    /** Whose value is taken, by part. */
    chosen: Record<string, number>;
    lines: Record<string, LineDecision>;
    withArchived: boolean;
}

export const UNDECIDED: Decided = { keptId: null, chosen: {}, lines: {}, withArchived: false };

/** As it is sent. What a line is called is left out of a preview: it changes nothing else. */
export function inputOf(partyIds: number[], decided: Decided, seen?: { seen: string; why: string }): Schemas['MergeInput'] {
    return {
        partyIds,
        keptId: decided.keptId,
        chosen: Object.entries(decided.chosen).map(([part, partyId]) => ({ part, partyId })),
        lines: Object.entries(decided.lines).map(([part, { isKept, label, isPrimary }]) => ({
            part,
            isKept,
            ...(seen === undefined || label === undefined ? {} : { label }),
            ...(isPrimary === undefined ? {} : { isPrimary }),
        })),
        withArchived: decided.withArchived,
        seen: seen?.seen ?? '',
        why: seen?.why ?? '',
    };
}

/** What was decided in a proposal, to go on with. */
export function decidedIn({ keptId, chosen, lines, withArchived }: Schemas['MergeDecided']): Decided {
    return {
        keptId,
        chosen: Object.fromEntries(chosen.map(({ part, partyId }) => [part, partyId])),
        lines: Object.fromEntries(lines.map(({ part, ...line }) => [part, line])),
        withArchived,
    };
}

/** A line is first of its kind, and no other. */
export function withFirst(decided: Decided, lines: Schemas['MergeLine'][], first: Schemas['MergeLine']): Decided {
    const others = lines.filter(({ kind, part }) => kind === first.kind && part !== first.part && decided.lines[part] !== undefined);
    const changed = { ...decided.lines, [first.part]: { ...decided.lines[first.part], isKept: true, isPrimary: true } };
    for (const { part, isKept } of others) {
        changed[part] = { isKept, ...decided.lines[part], isPrimary: false };
    }
    return { ...decided, lines: changed };
}
