import { Building2, User } from 'lucide-react';
import styled from 'styled-components';
import { space, type } from './tokens';

/** What the line needs to know of a party. */
interface Party {
    kind: 'person' | 'company';
    displayName: string;
    isClient: boolean;
    isVendor: boolean;
    isArchived: boolean;
    position: string;
    place: string;
}

const Root = styled.span`
    display: grid;
    grid-template-columns: 18px minmax(0, 1fr) fit-content(45%);
    overflow-wrap: anywhere;
    gap: 0 ${space.small};
    align-items: baseline;
    svg { align-self: center; color: var(--quiet); }
`;

const Name = styled.span`font-family: ${type.serif}; font-weight: 500;`;

const Aside = styled.span`color: var(--quiet); font-size: ${type.small};`;

const Second = styled(Aside)`grid-column: 2 / -1;`;

export function rolesOf(party: Pick<Party, 'isClient' | 'isVendor'>): string {
    return [party.isClient && 'client', party.isVendor && 'vendor'].filter(Boolean).join(' and ');
}

/** A party in a list of answers: name, roles and place, and beneath it why it is there. */
export function PartyLine({ party, reasons, owed = '' }: { party: Party; reasons: string[]; owed?: string }) {
    const Sign = party.kind === 'person' ? User : Building2;
    return (
        <Root>
            <Sign size={15} aria-label={party.kind} />
            <span>
                <Name>{party.displayName}</Name>
                {party.position !== '' && <Aside> {party.position}</Aside>}
            </span>
            <Aside>
                {[party.isArchived ? 'archived' : '', rolesOf(party), party.place, owed].filter((text) => text !== '').join(' · ')}
            </Aside>
            {reasons.length > 0 && <Second>{reasons.join(' · ')}</Second>}
        </Root>
    );
}
