import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { QuietButton } from '../../ui/Button';
import { Table, TableScroll } from '../../ui/Table';
import { Heading, Hidden, Quiet, Row, Stack } from '../../ui/Text';

type Section = Schemas['AsOfSection'];

/** Three columns that stand under each other from section to section. */
const Days = styled(Table)`
    table-layout: fixed;
    th:first-child { width: 22%; }
    tbody th { color: var(--quiet); }
    td { overflow-wrap: anywhere; }
    tr[data-different] td { font-weight: 600; }
`;

interface Props {
    section: Section;
    day: string;
    beside: string;
    /** Only what differs is shown. */
    isShort: boolean;
    onBringBack: (() => void) | undefined;
}

/** What a section said on a day, beside what it says on another. */
export function AsOfSection({ section, day, beside, isShort, onBringBack }: Props) {
    const facts = section.facts.filter(({ isDifferent }) => isDifferent || !isShort);
    return (
        <Stack as="section" $gap="small" $stretch aria-label={section.title}>
            <Row>
                <Heading>{section.title}</Heading>
                {onBringBack !== undefined && (
                    <QuietButton className="internal" aria-label={`Bring back ${section.title}`} onPress={onBringBack}>Bring back …</QuietButton>
                )}
            </Row>
            <TableScroll>
                <Days>
                    <thead>
                        <tr><th><Hidden>What</Hidden></th><th>{day}</th><th>{beside}</th></tr>
                    </thead>
                    <tbody>
                        {facts.map(({ key, label, then, other, isDifferent }) => (
                            <tr key={key} data-different={isDifferent || undefined}>
                                <th scope="row">{label}</th>
                                <td>{then === '' ? <Quiet>not there</Quiet> : then}</td>
                                <td>{!isDifferent ? <Quiet>the same</Quiet> : other === '' ? <Quiet>not there</Quiet> : other}</td>
                            </tr>
                        ))}
                    </tbody>
                </Days>
            </TableScroll>
        </Stack>
    );
}
