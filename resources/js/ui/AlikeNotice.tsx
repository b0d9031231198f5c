import { Link } from 'react-router';
import styled from 'styled-components';
import { PartyLine } from './PartyLine';
import { Notice } from './Text';
import { space } from './tokens';

interface Alike {
    party: Parameters<typeof PartyLine>[0]['party'] & { id: number };
    isLikely: boolean;
    reasons: string[];
}

const List = styled.ul`
    display: grid;
    gap: ${space.small};
    width: 100%;
    margin: 0;
    padding: 0;
    list-style: none;
    a { display: block; color: inherit; text-decoration: none; }
    a:hover { text-decoration: underline; }
`;

/** Kept records that may be the same as what is being entered, each with why. */
export function AlikeNotice({ alikes }: { alikes: Alike[] }) {
    if (alikes.length === 0) {
        return null;
    }
    return (
        <Notice
            tone="look"
            title={alikes.some(({ isLikely }) => isLikely) ? 'Probably in the book already' : 'Perhaps in the book already'}
        >
            <List>
                {alikes.map(({ party, reasons }) => (
                    <li key={party.id}><Link to={`/records/${party.id}`}><PartyLine party={party} reasons={reasons} /></Link></li>
                ))}
            </List>
        </Notice>
    );
}
