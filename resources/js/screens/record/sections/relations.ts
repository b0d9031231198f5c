import { api, ask, type Schemas } from '../../../api/client';
import { keyed, type Keyed, type SectionSpec, bare } from './spec';

export type RelationRow = Keyed<Required<Schemas['RelationInput']>> & {
    partyName: string;
};

/** Each has its own, this record uses the other's by link, or the other uses this one's. */
export type Whose = NonNullable<RelationRow['address']>;

export const relationsSpec: SectionSpec<RelationRow[]> = {
    name: 'relations',
    title: () => 'Relations',
    version: (record) => record.relations.version,
    draft: (record) =>
        record.relations.relations.map(({ id, kind, together, party, period }) => ({
            ...keyed({ id }),
            partyId: party.id,
            partyName: party.displayName,
            kind,
            together,
            address: 'own',
            addressId: null,
            phone: 'own',
            since: period.sinceText,
            until: period.untilText,
        })),
    put: (id, version, draft) =>
        ask(
            api.PUT('/api/parties/{id}/relations', {
                params: { path: { id } },
                body: { version, relations: bare(draft).map(({ partyName, ...row }) => row) },
            }),
        ),
};
