import { api, ask, type Schemas } from '../../api/client';
import { partiesInput, partyRows, type PartyRow } from '../../shared/engagementParties';
import { sheetsDraft, sheetsInput, type SheetsDraft } from '../../shared/SheetFields';
import { bare, keyed, type Keyed } from '../../shared/section/spec';
import type { SectionSpec } from './useEngagement';

export type HeadDraft = Omit<Required<Schemas['EngagementHeadInput']>, 'version'>;
export type SiteDraft = Omit<Required<Schemas['EngagementSiteInput']>, 'version'> & { of: string };
export type LinkRow = Keyed<Required<Schemas['EngagementTieInput']>> & { name: string };

const at = (engagement: number) => ({ params: { path: { engagement } } });

export const headSpec: SectionSpec<HeadDraft> = {
    name: 'engagement',
    title: () => 'Title and terms',
    version: ({ head }) => head.version,
    draft: ({ head: { version, isDecisionOverdue, readers, ...head } }) => ({ ...head, readerIds: readers.map(({ id }) => id) }),
    put: (id, version, draft) => ask(api.PUT('/api/engagements/{engagement}/head', { ...at(id), body: { version, ...draft } })),
};

export const partiesSpec: SectionSpec<PartyRow[]> = {
    name: 'parties',
    title: () => 'Parties',
    version: ({ partiesVersion }) => partiesVersion,
    draft: ({ parties }) => partyRows(parties),
    put: (id, version, draft) =>
        ask(api.PUT('/api/engagements/{engagement}/parties', { ...at(id), body: { version, parties: partiesInput(draft) } })),
};

export const siteSpec: SectionSpec<SiteDraft> = {
    name: 'site',
    title: () => 'Site',
    version: ({ site }) => site.version,
    draft: ({ site: { version, display, of, ...site } }) => ({ ...site, of: of?.name ?? '' }),
    put: (id, version, { of, ...draft }) =>
        ask(api.PUT('/api/engagements/{engagement}/site', { ...at(id), body: { version, ...draft } })),
};

export const linksSpec: SectionSpec<LinkRow[]> = {
    name: 'links',
    title: () => 'Linked',
    version: ({ linksVersion }) => linksVersion,
    draft: ({ links }) =>
        links.map(({ id, kind, engagement }) => ({
            ...keyed({ id }),
            engagementId: engagement.id,
            kind,
            name: `${engagement.number} ${engagement.title}`,
        })),
    put: (id, version, draft) =>
        ask(
            api.PUT('/api/engagements/{engagement}/links', {
                ...at(id),
                body: { version, links: bare(draft).map(({ name, ...row }) => row) },
            }),
        ),
};

export const fieldsSpec: SectionSpec<SheetsDraft> = {
    name: 'details',
    title: () => 'Details',
    version: ({ details }) => details.version,
    draft: ({ details }) => sheetsDraft(details.sheets),
    put: (id, version, draft) =>
        ask(api.PUT('/api/engagements/{engagement}/details', { ...at(id), body: { version, values: sheetsInput(draft) } })),
};
