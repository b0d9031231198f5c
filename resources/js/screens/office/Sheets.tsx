import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { engagementKindsQuery, forgetChoices, keepAnswer, sheetsQuery } from '../../api/queries';
import { titleOf, useTitles } from '../../shared/titles';
import { Button, QuietButton } from '../../ui/Button';
import { Heading, Quiet, Row, Small, Stack } from '../../ui/Text';
import { line, space } from '../../ui/tokens';
import { SheetForm } from './SheetForm';

type Sheet = Schemas['Sheet'];

const Entry = styled.div`
    display: grid;
    padding-bottom: ${space.small};
    border-bottom: ${line.rule};
`;

/** The firm's own detail sheets. */
export function Sheets() {
    const { data: sheets } = useQuery(sheetsQuery);
    const { data: kinds } = useQuery(engagementKindsQuery);
    const fieldKinds = useTitles('fieldKinds');
    const [edited, setEdited] = useState<Sheet | 'new'>();
    const keep = (saved: Sheet[]) => {
        keepAnswer(sheetsQuery.queryKey, saved);
        forgetChoices();
        setEdited(undefined);
    };

    return (
        <Stack as="section" data-section aria-label="Detail sheets" $stretch>
            <Heading>Detail sheets</Heading>
            {sheets?.length === 0 && (
                <Quiet>
                    Fields of your own, such as a member’s interests or the keeper of a key, go on a detail sheet. Records show the sheets
                    that apply to them.
                </Quiet>
            )}
            {sheets?.map((sheet) =>
                edited !== 'new' && edited?.id === sheet.id ? (
                    <SheetForm key={sheet.id} sheet={sheet} onSaved={keep} onClose={() => setEdited(undefined)} />
                ) : (
                    <Entry key={sheet.id}>
                        <Row $gap="small">
                            <strong>{sheet.name}</strong>
                            <Small>{[whose(sheet, kinds ?? []), sheet.isRetired && 'retired'].filter(Boolean).join(' · ')}</Small>
                            <QuietButton aria-label={`Change the sheet ${sheet.name}`} onPress={() => setEdited(sheet)}>Change</QuietButton>
                        </Row>
                        <Quiet>
                            {sheet.fields
                                .filter(({ isRetired }) => !isRetired)
                                .map(({ name, kind }) => `${name} (${titleOf(fieldKinds, kind).toLowerCase()})`)
                                .join(', ') || 'no fields'}
                        </Quiet>
                    </Entry>
                ))}
            {edited === 'new'
                ? <SheetForm sheet={undefined} onSaved={keep} onClose={() => setEdited(undefined)} />
                : <div><Button data-edit onPress={() => setEdited('new')}>Add a detail sheet</Button></div>}
        </Stack>
    );
}

function whose({ partyKind, type, engagementKindId }: Sheet, kinds: Schemas['EngagementKind'][]): string {
    if (engagementKindId !== null) {
        return `for ${kinds.find(({ id }) => id === engagementKindId)?.plural ?? 'cases and projects'}`;
    }
    const kind = partyKind === null ? 'people and companies' : partyKind === 'person' ? 'people' : 'companies';
    return type === '' ? `for ${kind}` : `for ${kind} of the type ${type}`;
}
