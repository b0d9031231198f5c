import { keepAnswer, sessionQuery } from '../../api/queries';
import { useTitle } from '../../ui/useTitle';
import { Sheet } from '../../ui/Page';
import { ButtonLink } from '../../ui/Button';
import { Row, Stack, Title } from '../../ui/Text';
import { BooksSettings } from './Books';
import { Lists } from './Lists';
import { LogoForm } from './LogoForm';
import { OfficeForm } from './OfficeForm';
import { Sheets } from './Sheets';
import { TermsList } from './TermsList';
import { Users } from './Users';

/** The settings of the office, for its administrators. */
export function Office() {

    useTitle('Office');

    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="wide" $stretch>
                <Row><Title>Office</Title><ButtonLink href="/office/log">Log of the office</ButtonLink></Row>
                <OfficeForm onSaved={(saved) => keepAnswer(sessionQuery.queryKey, saved)} />
                <LogoForm />
                <Users />
                <TermsList />
                <BooksSettings />
                <Lists />
                <Sheets />
            </Stack>
        </Sheet>
    );
}
