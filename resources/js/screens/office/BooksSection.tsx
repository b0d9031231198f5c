import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { booksQuery, forgetLedger, keepAnswer } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { useSay } from '../../ui/StatusLine';
import { Heading, Stack } from '../../ui/Text';
import { line, narrow, space } from '../../ui/tokens';

/** What the books have of a kind, a line each. */
export const BookItems = styled.ul`
    display: grid;
    width: 100%;
    margin: 0;
    padding: 0;
    list-style: none;
    li {
        display: grid;
        grid-template-columns: minmax(0, 1fr) auto auto;
        gap: ${space.small} ${space.medium};
        align-items: baseline;
        padding: ${space.hair} 0;
        border-bottom: ${line.rule};
    }
    ${narrow} {
        li {
            grid-template-columns: 1fr;
        }
    }
`;

export function BookSection({ title, children }: { title: string; children: ReactNode }) {
    return (
        <Stack as="section" data-section aria-label={title} $stretch>
            <Heading>{title}</Heading>
            {children}
        </Stack>
    );
}

/** Keeps what comes back, says so, and lets everything that shows amounts read again. */
export function useKeep() {
    const say = useSay();
    const saving = useSaving();
    const keep = (work: () => Promise<Schemas['Books']>, said: string, then?: () => void) => saving.run(async () => {
        keepAnswer(booksQuery.queryKey, await work());
        forgetLedger();
        say(said);
        then?.();
    });
    return { ...saving, keep };
}
