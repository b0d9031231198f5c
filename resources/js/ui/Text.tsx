import { Check, CircleAlert, OctagonAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { space, type } from './tokens';

export const Quiet = styled.span`color: var(--quiet);`;

export const Small = styled.span`
    color: var(--quiet);
    font-size: ${type.small};
`;

export const Title = styled.h1`
    font-size: ${type.title};
    line-height: 1.25;
    overflow-wrap: anywhere;
`;

export const Heading = styled.h2`
    font-size: ${type.heading};
    line-height: 1.35;
`;

export const SubHeading = styled.h3`
    color: var(--quiet);
    font: 600 ${type.small}/1.5 ${type.sans};
`;

/** Names and values, a line each; beside something else with $narrow. */
export const Facts = styled.dl<{ $narrow?: boolean }>`
    display: grid;
    grid-template-columns: minmax(110px, max-content) minmax(0, 1fr);
    gap: ${space.hair} ${space.medium};
    ${({ $narrow }) => ($narrow === true ? 'max-width: 420px;' : 'width: 100%;')}
    margin: 0;
    > div { display: contents; }
    dt { color: var(--quiet); }
    dd { margin: 0; overflow-wrap: anywhere; }
`;

/** Words in a row, such as tags. */
export const Chips = styled.ul`
    display: inline-flex;
    flex-wrap: wrap;
    gap: ${space.tight};
    margin: 0;
    padding: 0;
    list-style: none;
    li { padding: 0 8px; border: 1px solid var(--rule); border-radius: 3px; background: var(--wash); font-size: ${type.small}; }
`;

/** A text with the breaks that were typed. */
/** Figures that belong together, a few beside each other. */
export const Sums = styled.ul`
    display: flex;
    flex-wrap: wrap;
    gap: ${space.tight} ${space.large};
    margin: 0;
    padding: 0;
    list-style: none;
`;

export const Paragraphs = styled.div`white-space: pre-line;`;

/** Words that stay on one line. */
export const Together = styled.span`white-space: nowrap;`;

/** Half of a row, while there is room for both. */
export const Half = styled.div`flex: 1 1 260px;`;

/** A list that is looked through where it stands. */
export const Shelf = styled.div`
    display: grid;
    gap: ${space.tight};
    justify-items: start;
    max-height: 300px;
    overflow: auto;
`;

/** One below the other, each as wide as it is; all of them as wide as the place, with $stretch; in the whole of it, with $wide. */
export const Stack = styled.div<{ $gap?: keyof typeof space; $stretch?: boolean; $wide?: boolean }>`
    display: grid;
    ${({ $wide }) => ($wide === true ? 'width: 100%;' : '')}
    grid-template-columns: minmax(0, 1fr);
    gap: ${({ $gap }) => space[$gap ?? 'medium']};
    justify-items: ${({ $stretch }) => ($stretch === true ? 'stretch' : 'start')};
    align-content: start;
    min-width: 0;
    > * { max-width: 100%; }
`;

/** One beside the other; at both ends of the place with $apart, at its end with $end. */
export const Row = styled.div<{ $gap?: keyof typeof space; $apart?: boolean; $end?: boolean }>`
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    justify-content: ${({ $apart, $end }) => ($apart === true ? 'space-between' : $end === true ? 'flex-end' : 'normal')};
    gap: ${space.tight} ${({ $gap }) => space[$gap ?? 'medium']};
`;

/** A row of fields, aligned at their labels; where buttons stand among them, at their foot. */
export const FieldRow = styled.div<{ $foot?: boolean }>`
    display: flex;
    flex-wrap: wrap;
    align-items: ${({ $foot }) => ($foot === true ? 'flex-end' : 'flex-start')};
    gap: ${space.small} ${space.medium};
    width: 100%;
`;

/** The fields of one line of a list, such as one address, above a rule. */
export const FieldGroup = styled.fieldset`
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: ${space.small};
    width: 100%;
    min-width: 0;
    margin: 0;
    padding: 0 0 ${space.medium};
    border: 0;
    border-bottom: 1px solid var(--rule);
    legend { padding: 0; font: 500 ${type.body}/1.6 ${type.serif}; }
`;

const Line = styled.span<{ $tone: string }>`
    display: inline-flex;
    align-items: center;
    gap: 5px;
    vertical-align: bottom;
    color: ${({ $tone }) => `var(--${$tone})`};
    svg { flex: none; }
`;

const signs = { look: CircleAlert, stop: OctagonAlert, fine: Check };

interface MarkProps {
    tone: keyof typeof signs;
    children: ReactNode;
}

/** Look at this, stop, or in order: always with a sign and a word, never by colour alone. */
export function Mark({ tone, children }: MarkProps) {
    const Sign = signs[tone];
    return <Line $tone={tone}><Sign size={15} aria-hidden /><span>{children}</span></Line>;
}

const Box = styled.div<{ $tone: string }>`
    display: grid;
    gap: ${space.small};
    justify-items: start;
    width: 100%;
    padding: ${space.medium};
    border-left: 3px solid ${({ $tone }) => `var(--${$tone})`};
    background: var(--wash);
`;

/** Something to be settled where it stands. */
export function Notice({ tone, title, children }: { tone: keyof typeof signs; title: string; children?: ReactNode }) {
    return (
        <Box $tone={tone} role={tone === 'fine' ? 'status' : 'alert'}>
            <Mark tone={tone}><strong>{title}</strong></Mark>
            {children}
        </Box>
    );
}

/** An empty place: what belongs there, and the first step. */
/** With $alone, in the middle of a page that holds nothing else. */
export const Empty = styled.div<{ $alone?: boolean }>`
    display: grid;
    ${({ $alone }) => ($alone === true ? 'margin: 10vh auto;' : '')}
    gap: ${space.medium};
    justify-items: start;
    max-width: 46ch;
    padding: ${space.wide} 0;
    color: var(--quiet);
`;

export const Hidden = styled.span`
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
    white-space: nowrap;
`;
