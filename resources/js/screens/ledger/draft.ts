import type { Schemas } from '../../api/client';

/** A line of a document while it is written. */
export type DraftLine = Schemas['DocumentLineInput'] & { key: string };

/** A document while it is written. */
export type Draft = Omit<Schemas['DocumentInput'], 'lines'> & { lines: DraftLine[] };
