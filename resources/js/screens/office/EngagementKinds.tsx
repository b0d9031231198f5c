import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { engagementKindsQuery, forget, keepAnswer } from '../../api/queries';
import { Button, QuietButton } from '../../ui/Button';
import { Heading, Quiet, Row, Small, Stack } from '../../ui/Text';
import { line, space } from '../../ui/tokens';
import { EngagementKindForm } from './EngagementKindForm';

type Kind = Schemas['EngagementKind'];

const Entry = styled.div`
    display: grid;
    padding-bottom: ${space.small};
    border-bottom: ${line.rule};
`;

/** What the firm calls what it does for others, with the stages and the roles of each kind. */
export function EngagementKinds() {
    const { data: kinds } = useQuery(engagementKindsQuery);
    const [edited, setEdited] = useState<Kind | 'new'>();
    const keep = (saved: Kind[]) => {
        keepAnswer(engagementKindsQuery.queryKey, saved);
        void forget(['engagements']);
        setEdited(undefined);
    };
    const names = (words: { name: string; isRetired: boolean }[]) =>
        words.filter(({ isRetired }) => !isRetired).map(({ name }) => name).join(', ');

    return (
        <Stack as="section" data-section aria-label="Cases & projects" $stretch>
            <Heading>Cases & projects</Heading>
            {kinds?.map((kind) =>
                edited !== 'new' && edited?.id === kind.id ? (
                    <EngagementKindForm key={kind.id} kind={kind} onSaved={keep} onClose={() => setEdited(undefined)} />
                ) : (
                    <Entry key={kind.id}>
                        <Row $gap="small">
                            <strong>{kind.name}</strong>
                            <Small>
                                {[`numbers like ${kind.sign}2026-001`, `${kind.uses} in the book`, kind.isRetired && 'retired']
                                    .filter(Boolean).join(' · ')}
                            </Small>
                            <QuietButton aria-label={`Change the kind ${kind.name}`} onPress={() => setEdited(kind)}>Change</QuietButton>
                        </Row>
                        <Quiet>Stages: {names(kind.stages)}</Quiet>
                        <Quiet>Roles: {names(kind.roles) || 'none yet'}</Quiet>
                    </Entry>
                ))}
            {edited === 'new'
                ? <EngagementKindForm kind={undefined} onSaved={keep} onClose={() => setEdited(undefined)} />
                : <div><Button data-edit onPress={() => setEdited('new')}>Add a kind</Button></div>}
        </Stack>
    );
}
