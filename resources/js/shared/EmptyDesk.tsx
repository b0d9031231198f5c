import { useSession } from '../api/session';
import { ButtonLink } from '../ui/Button';
import { Sheet } from '../ui/Page';
import { Empty, Row, Title } from '../ui/Text';

/** Before anything is in the book: what belongs there, and the first step. */
export function EmptyDesk() {
    const { mayChangeRecords, officeName } = useSession();
    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={false}>
            <Title>An empty desk</Title>
            <Empty>
                <p>
                    The people and companies that {officeName} deals with belong here. Press <kbd>/</kbd> and type a name:
                    what is not in the book yet can be added from there.
                </p>
                {mayChangeRecords && (
                    <Row>
                        <ButtonLink href="/add/company">Add the first company</ButtonLink>
                        <ButtonLink href="/add/person">Add a person</ButtonLink>
                    </Row>
                )}
            </Empty>
        </Sheet>
    );
}
