import { api, ask, type Schemas } from '../../../api/client';
import type { SectionSpec } from './spec';

export type IdentityDraft = Required<Omit<Schemas['IdentityInput'], 'version' | 'follow'>>;

export const identitySpec: SectionSpec<IdentityDraft> = {
    name: 'identity',
    title: () => 'Name and roles',
    version: (record) => record.identity.version,
    draft: ({ identity: { version, hasBirthDate, age, ...names } }) => ({ ...names, birthDate: null }),
    put: (id, version, draft, follow) => ask(api.PUT('/api/parties/{id}/identity', {
        params: { path: { id } }, body: { version, follow, ...draft },
    })),
    touched: (id, version, draft) => ask(api.POST('/api/parties/{id}/touched/identity', {
        params: { path: { id } }, body: { version, ...draft },
    })),
};
