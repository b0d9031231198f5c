import type { Schemas } from '../../../api/client';
import type { SectionSpec as Spec } from '../../../shared/section/spec';

export type RecordData = Schemas['Record'];

export type SectionSpec<D> = Spec<D, RecordData>;

export { bare, keyed, newKey, type Follow, type Keyed } from '../../../shared/section/spec';
