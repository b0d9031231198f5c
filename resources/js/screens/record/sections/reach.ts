import { api, ask, type Schemas } from '../../../api/client';
import { type Keyed, type SectionSpec, bare, keyed } from './spec';

export type ContactRow = Keyed<Schemas['ContactPointInput']>;

export const reachSpec: SectionSpec<ContactRow[]> = {
    name: 'reach',
    title: () => 'Reach',
    version: (record) => record.reach.version,
    draft: (record) => record.reach.contactPoints.map(({ id, kind, value, label, uses, isPrimary, sameAsId, addressUseId }) =>
        keyed({ id, kind, value, label, uses, isPrimary, sameAsId, addressUseId })),
    put: (id, version, draft) => ask(api.PUT('/api/parties/{id}/reach', {
        params: { path: { id } }, body: { version, contactPoints: bare(draft) },
    })),
};
