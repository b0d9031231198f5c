import { useQueryClient } from '@tanstack/react-query';
import { sessionQuery } from '../../api/queries';
import { useTitle } from '../../app/useTitle';
import { Sheet } from '../../ui/Page';
import { ButtonLink } from '../../ui/Button';
import { Row, Stack, Title } from '../../ui/Text';
import { BooksSettings } from './Books';
import { Lists } from './Lists';
import { OfficeForm } from './OfficeForm';
import { Sheets } from './Sheets';
import { TermsList } from './TermsList';
import { Users } from './Users';

/** The settings of the office, for its administrators. */
export function Office() {
    const client = useQueryClient();

    useTitle('Office');

    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="wide" style={{ justifyItems: 'stretch' }}>
                <Row><Title>Office</Title><ButtonLink href="/office/log">Log of the office</ButtonLink></Row>
                <OfficeForm onSaved={(saved) => client.setQueryData(sessionQuery.queryKey, saved)} />
                <Users />
                <TermsList />
                <BooksSettings />
                <Lists />
                <Sheets />
            </Stack>
        </Sheet>
    );
}
