import type { Schemas } from '../api/client';
import { bare, keyed, newKey, type Keyed } from './section/spec';

type Party = Schemas['EngagementParty'];

/** Somebody in a role, while it is edited. */
export type PartyRow = Keyed<Required<Schemas['EngagementPartyInput']>> & {
    partyName: string;
    isCompany: boolean;
    viaName: string;
    contactName: string;
};

/** As they are kept. */
export function partyRows(parties: Party[]): PartyRow[] {
    return parties.map(({ id, party, roleId, via, contact, period, share, isMailed, note }) => ({
        ...keyed({ id }),
        partyId: party.id,
        partyName: party.displayName,
        isCompany: party.kind === 'company',
        roleId,
        viaId: via?.id ?? null,
        viaName: via?.name ?? '',
        contactId: contact?.id ?? null,
        contactName: contact?.name ?? '',
        since: period.sinceText,
        until: period.untilText,
        share,
        isMailed,
        note,
    }));
}

/** Somebody who comes into a role, with nothing else said about it. */
export function newPartyRow(
    party: { id: number; displayName: string; kind: string },
    roleId: number,
    isMailed: boolean,
): PartyRow {
    return {
        key: newKey(),
        id: null,
        partyId: party.id,
        partyName: party.displayName,
        isCompany: party.kind === 'company',
        roleId,
        viaId: null,
        viaName: '',
        contactId: null,
        contactName: '',
        since: '',
        until: '',
        share: '',
        isMailed,
        note: '',
    };
}

/** As they are sent: without what only the form needs. */
export function partiesInput(rows: PartyRow[]): Schemas['EngagementPartyInput'][] {
    return bare(rows).map(({ partyName, isCompany, viaName, contactName, ...row }) => row);
}

/** Who pays now. */
export function payersOf(engagement: Schemas['Engagement']): Party[] {
    return engagement.parties.filter(({ share, period }) => share !== '' && period.isInForce);
}
