import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { EngagementData } from '../../api/queries';
import { recordQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { PlaceFields } from '../../shared/PlaceFields';
import { SectionFrame } from '../../shared/section/SectionFrame';
import { Button, QuietButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Mark, Quiet, Row, Small, Stack } from '../../ui/Text';
import { siteSpec, type SiteDraft } from './sections';
import { useEngagementSection } from './useEngagement';

/** Where it is. */
export function SiteSection({ engagement }: { engagement: EngagementData }) {
    const edit = useEngagementSection(engagement, siteSpec);
    const { site } = engagement;
    return (
        <SectionFrame
            edit={edit}
            saveLabel="Save site"
            folded={site.display.length === 0 && site.note === '' ? 'No place yet.' : undefined}
            read={
                <>
                    <Stack $gap="hair">{site.display.map((text, at) => <span key={at}>{text}</span>)}</Stack>
                    {site.of !== null && <Small>address of <Link to={`/records/${site.of.id}`}>{site.of.name}</Link>, by link</Small>}
                    {site.note !== '' && <span>{site.note}</span>}
                </>
            }
            fields={(draft) => <SiteFields engagement={engagement} draft={draft} problems={edit.problems} onChange={edit.change} />}
        />
    );
}

interface Props {
    engagement: EngagementData;
    draft: SiteDraft;
    problems: Record<string, string>;
    onChange: (draft: SiteDraft) => void;
}

function SiteFields({ engagement, draft, problems, onChange }: Props) {
    const country = useSession().officeCountry ?? 'US';
    const set = (part: Partial<SiteDraft>) => onChange({ ...draft, ...part });
    const place = { ...draft, country: draft.country === '' ? country : draft.country };
    const parties = engagement.parties.map(({ party }) => party).filter(({ id }, at, all) => all.findIndex((one) => one.id === id) === at);
    return (
        <Stack $wide>
            {draft.addressId === null ? (
                <PlaceFields
                    partyId={parties[0]?.id ?? 0}
                    place={place}
                    problemAt={(field) => problems[field]}
                    onChange={(part) => set({ country: place.country, ...part })}
                    onLink={({ addressId, usedBy, ...known }) => set({ ...known, addressId, of: usedBy[0]?.name ?? '' })}
                />
            ) : (
                <Row $gap="small">
                    <span>The address of {draft.of}, by link: a change there shows here.</span>
                    <QuietButton onPress={() => set({ addressId: null })}>Use an address of its own</QuietButton>
                </Row>
            )}
            {problems.addressId !== undefined && <Mark tone="stop">{problems.addressId}</Mark>}
            {draft.addressId === null && parties.slice(0, 6).map(({ id }) => (
                <AddressesOf key={id} partyId={id} onPick={(addressId, of) => set({ addressId, of })} />
            ))}
            <Field label="Note on the site" width="full" value={draft.note} onChange={(note) => set({ note })} problem={problems.note} />
        </Stack>
    );
}

/** The addresses of somebody concerned, to be linked. */
function AddressesOf({ partyId, onPick }: { partyId: number; onPick: (addressId: number, of: string) => void }) {
    const { data: record } = useQuery(recordQuery(partyId));
    const { displayName } = record?.party ?? { displayName: '' };
    const addresses = record?.addresses.addresses.filter(({ period }) => period.isInForce) ?? [];
    return addresses.length > 0 && (
        <Row $gap="small">
            <Quiet>{displayName}:</Quiet>
            {addresses.map(({ addressId, text }) => (
                <Button key={addressId} onPress={() => onPick(addressId, displayName)}>{text.slice(0, 2).join(', ')}</Button>
            ))}
        </Row>
    );
}
