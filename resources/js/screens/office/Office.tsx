import {
    backupsQuery, booksQuery, countriesQuery, engagementKindsQuery, failedTasksQuery, jobsQuery, keepAnswer,
    listsQuery, mailServerQuery, officeQuery,
    sessionQuery, sheetsQuery, termsQuery, usersQuery,
} from '../../api/queries';
import { useAllRead } from '../../api/useAllRead';
import { useTitle } from '../../ui/useTitle';
import { Sheet } from '../../ui/Page';
import { ButtonLink } from '../../ui/Button';
import { Row, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { Archive } from './Archive';
import { Backups } from './Backups';
import { BooksSettings } from './Books';
import { EngagementKinds } from './EngagementKinds';
import { FailedTasks } from './FailedTasks';
import { Lists } from './Lists';
import { LogoForm } from './LogoForm';
import { MailServer } from './MailServerForm';
import { OfficeForm } from './OfficeForm';
import { Sheets } from './Sheets';
import { TermsList } from './TermsList';
import { Users } from './Users';

/** The settings of the office, for its administrators. */
export function Office() {
    const { isRead, error, retry } = useAllRead(
        officeQuery, countriesQuery, usersQuery, termsQuery, booksQuery, listsQuery, sheetsQuery, engagementKindsQuery,
        mailServerQuery, jobsQuery, backupsQuery, failedTasksQuery,
    );
    useTitle('Office');

    if (!isRead) {
        return <AwaitedSheet what="The office" error={error} retry={retry} />;
    }
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="wide" $stretch>
                <Row>
                    <Title>Office</Title>
                    <ButtonLink href="/office/log">Log of the office</ButtonLink>
                </Row>
                <FailedTasks />
                <OfficeForm onSaved={(saved) => keepAnswer(sessionQuery.queryKey, saved)} />
                <LogoForm />
                <MailServer />
                <Users />
                <TermsList />
                <BooksSettings />
                <Lists />
                <EngagementKinds />
                <Sheets />
                <Backups />
                <Archive />
            </Stack>
        </Sheet>
    );
}
