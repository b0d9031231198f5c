import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { momentText } from '../ui/moment';
import { Quiet } from '../ui/Text';
import { size, space } from '../ui/tokens';

/** The ways to the sections of a page. */
export const Contents = styled.nav`
    display: grid;
    gap: ${space.hair};
    a { min-height: ${size.target}; padding: ${space.hair} 0; color: inherit; text-decoration: none; }
    a:hover { text-decoration: underline; }
`;

export function NextToDo({ reminders: [next] }: { reminders: Schemas['Reminder'][] }) {
    return next !== undefined && (
        <section>
            <h2>Next to do</h2>
            <p>{next.text}</p>
            <p><Quiet>{next.whenText}</Quiet></p>
        </section>
    );
}

export function LastChange({ change }: { change: Schemas['Change'] | null }) {
    return change !== null && (
        <section>
            <h2>Last change</h2>
            <p>{momentText(change.at)}, {change.by}: {change.section.toLowerCase()}</p>
        </section>
    );
}
