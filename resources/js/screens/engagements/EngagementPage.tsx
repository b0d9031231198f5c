import { Leaves } from '../../shared/lists/Leaves';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { api, ask } from '../../api/client';
import { engagementKindsQuery, engagementQuery, isMissing, type EngagementData } from '../../api/queries';
import { FilesSection } from '../../shared/FilesSection';
import { LogSection } from '../../shared/log/LogSection';
import { PrivateValue } from '../../shared/PrivateValue';
import { RemindersSection } from '../../shared/RemindersSection';
import { areBlank, SheetFields, SheetView } from '../../shared/SheetFields';
import { SectionFrame } from '../../shared/section/SectionFrame';
import { useSectionInAddress, useSectionKeys } from '../../shared/section/useSectionKeys';
import { ButtonLink, MainButton } from '../../ui/Button';
import { Sheet, Spread } from '../../ui/Page';
import { Empty, Title } from '../../ui/Text';
import { useTitle } from '../../ui/useTitle';
import { EngagementDocuments } from './EngagementDocuments';
import { EngagementMargin } from './EngagementMargin';
import { EngagementTitle } from './EngagementTitle';
import { LinksSection } from './LinksSection';
import { PartiesSection } from './PartiesSection';
import { fieldsSpec } from './sections';
import { SiteSection } from './SiteSection';
import { useSubjectAction } from '../../shared/useSubjectAction';
import { useEngagementLog, useEngagementSection, useMayEdit, type PageProps } from './useEngagement';

/** One case or project, on one page. */
export function EngagementPage() {
    const id = Number(useParams().id);
    const { data: engagement, error, refetch } = useQuery(engagementQuery(id));
    const { data: kinds } = useQuery(engagementKindsQuery);
    const kind = kinds?.find((one) => one.id === engagement?.row.kindId);

    if (engagement !== undefined && kind !== undefined) {
        return <OneEngagement key={id} engagement={engagement} kind={kind} />;
    }
    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={error === null}>
            {error !== null && (isMissing(error) ? (
                <Empty role="alert">
                    <Title>No such case or project</Title>
                    <p>It is not in the book, no longer is, or is private to others.</p>
                    <ButtonLink href="/engagements">Open cases & projects</ButtonLink>
                </Empty>
            ) : (
                <Empty role="alert">
                    <p>The page could not be loaded. {error.message}</p>
                    <MainButton onPress={() => void refetch()}>Try again</MainButton>
                </Empty>
            ))}
        </Sheet>
    );
}

function OneEngagement({ engagement, kind }: PageProps) {
    const log = useEngagementLog(engagement);
    const mayEdit = useMayEdit(engagement);
    const act = useSubjectAction();
    const { id } = engagement.row;
    useTitle(`${engagement.row.number} ${engagement.row.title}`);
    useSectionKeys();
    useSectionInAddress();

    return (
        <Spread>
            <Sheet id="sheet" tabIndex={-1}>
                <Leaves of="engagements" />
                <EngagementTitle engagement={engagement} kind={kind} />
                <PartiesSection engagement={engagement} kind={kind} />
                <SiteSection engagement={engagement} />
                <DetailsSection engagement={engagement} />
                <EngagementDocuments engagement={engagement} />
                <LinksSection engagement={engagement} />
                <FilesSection of={`engagements/${id}`} files={engagement.files} mayEdit={mayEdit} />
                <RemindersSection
                    reminders={engagement.reminders}
                    mayEdit={mayEdit}
                    add={(body) =>
                        act(() => ask(api.POST('/api/engagements/{engagement}/reminders', { params: { path: { engagement: id } }, body })))}
                />
                <LogSection log={log} />
            </Sheet>
            <EngagementMargin engagement={engagement} />
        </Spread>
    );
}

/** What the detail sheets of its kind ask. */
function DetailsSection({ engagement }: { engagement: EngagementData }) {
    const { sheets } = engagement.details;
    const edit = useEngagementSection(engagement, fieldsSpec);
    if (sheets.length === 0) {
        return null;
    }
    return (
        <SectionFrame
            edit={edit}
            saveLabel="Save details"
            folded={areBlank(sheets) ? `Nothing filled in yet: ${sheets.map(({ name }) => name).join(', ')}.` : undefined}
            read={sheets.map((sheet) => (
                <SheetView
                    key={sheet.id}
                    sheet={sheet}
                    secret={({ id, name }) => <PrivateValue kind="engagement" id={engagement.row.id} name={name} fieldId={id} />}
                />
            ))}
            fields={(draft) =>
                sheets.map((sheet) => (
                    <SheetFields key={sheet.id} sheet={sheet} draft={draft} problems={edit.problems} onChange={edit.change} />
                ))}
        />
    );
}
