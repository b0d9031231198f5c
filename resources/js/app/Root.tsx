import { Outlet, useNavigate } from 'react-router';
import { LinkRouter } from '../ui/LinkRouter';
import { Shortcuts } from './Shortcuts';

/** What every page stands on. */
export function Root() {
    const navigate = useNavigate();
    return (
        <LinkRouter navigate={(path) => void navigate(path)}>
            <Shortcuts><Outlet /></Shortcuts>
        </LinkRouter>
    );
}
