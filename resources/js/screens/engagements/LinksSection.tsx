import { X } from 'lucide-react';
import { Link } from 'react-router';
import type { EngagementData } from '../../api/queries';
import { EngagementPicker } from '../../shared/EngagementPicker';
import { SectionFrame } from '../../shared/section/SectionFrame';
import { newKey } from '../../shared/section/spec';
import { useTitles } from '../../shared/titles';
import { Button } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { FieldGroup, FieldRow, Mark, Quiet, Row, Small, Stack } from '../../ui/Text';
import { linksSpec, type LinkRow } from './sections';
import { useEngagementSection } from './useEngagement';

/** What it is to other cases and projects. */
export function LinksSection({ engagement }: { engagement: EngagementData }) {
    const edit = useEngagementSection(engagement, linksSpec);
    const { links, row } = engagement;
    return (
        <SectionFrame
            edit={edit}
            saveLabel="Save links"
            folded={links.length === 0 ? 'Linked to nothing yet.' : undefined}
            read={links.map(({ id, kindTitle, engagement: other, stage }) => (
                <Row key={id} $gap="small">
                    <Quiet>{kindTitle}</Quiet>
                    <Link to={`/engagements/${other.id}`}>{other.number} {other.title}</Link>
                    <Small>{stage}</Small>
                </Row>
            ))}
            fields={(draft) => <LinkRows ownId={row.id} rows={draft} problems={edit.problems} onChange={edit.change} />}
        />
    );
}

interface Props {
    ownId: number;
    rows: LinkRow[];
    problems: Record<string, string>;
    onChange: (rows: LinkRow[]) => void;
}

function LinkRows({ ownId, rows, problems, onChange }: Props) {
    const kinds = useTitles('engagementLinks');
    return (
        <Stack $wide>
            {rows.map((row, index) => {
                const problem = problems[`links.${index}.engagementId`];
                return (
                    <FieldGroup key={row.key}>
                        <legend>{row.name}</legend>
                        <FieldRow $foot>
                            <ChooseOne
                                label="This one is"
                                width="word"
                                options={kinds}
                                value={row.kind}
                                onChange={(kind) => onChange(rows.map((one, at) => (at === index ? { ...one, kind } : one)))}
                            />
                            <Button aria-label={`Remove the link to ${row.name}`} onPress={() => onChange(rows.filter((_, at) => at !== index))}>
                                <X size={16} aria-hidden />
                                Remove
                            </Button>
                        </FieldRow>
                        {problem !== undefined && <Mark tone="stop">{problem}</Mark>}
                    </FieldGroup>
                );
            })}
            <EngagementPicker
                label="Linked to which?"
                exceptIds={[ownId]}
                onPick={({ id, number, title }) =>
                    onChange([...rows, { key: newKey(), id: null, engagementId: id, kind: 'follows', name: `${number} ${title}` }])}
            />
        </Stack>
    );
}
