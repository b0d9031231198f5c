import { api, ask, type Schemas } from '../../../api/client';
import { keyed, type Keyed, type SectionSpec, bare } from './spec';

export type PositionRow = Keyed<Schemas['PositionInput']> & { partyName: string };

export const positionsSpec: SectionSpec<PositionRow[]> = {
    name: 'positions',
    title: (record) => record.party.kind === 'person' ? 'Positions' : 'People',
    version: (record) => record.positions.version,
    draft: (record) => record.positions.positions.map((position) => ({
        ...keyed({ id: position.id }),
        partyId: position.party.id,
        partyName: position.party.displayName,
        title: position.title,
        department: position.department,
        duties: position.duties,
        firstFor: position.firstFor,
        isPrimary: position.isPrimary,
        since: position.period.sinceText,
        until: position.period.untilText,
    })),
    put: (id, version, draft) => ask(api.PUT('/api/parties/{id}/positions', {
        params: { path: { id } },
        body: { version, positions: bare(draft).map(({ partyName, ...row }) => row) },
    })),
};
