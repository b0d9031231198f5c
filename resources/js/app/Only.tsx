import { Outlet } from 'react-router';
import { useSession } from '../api/session';
import { ButtonLink } from '../ui/Button';
import { Sheet } from '../ui/Page';
import { Empty, Title } from '../ui/Text';
import { useTitle } from '../ui/useTitle';

/** Pages for those who may use them; the others are told, instead of filling in what would be refused. */
export function Only({ may }: { may: 'mayChangeRecords' | 'mayRunOffice' }) {
    return useSession()[may] ? <Outlet /> : <MayNot who={may === 'mayRunOffice' ? 'administrators' : 'those who may change records'} />;
}

function MayNot({ who }: { who: string }) {
    const { role } = useSession();
    useTitle('You cannot open this');
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Empty>
                <Title>This page is for {who}</Title>
                <p>You are signed in as {role}. An administrator of the office can change that.</p>
                <ButtonLink href="/">Go to Today</ButtonLink>
            </Empty>
        </Sheet>
    );
}
