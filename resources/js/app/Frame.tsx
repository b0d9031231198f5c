import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useContext, useEffect, useRef, useState } from 'react';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { api, ask } from '../api/client';
import { dueQuery, sessionQuery } from '../api/queries';
import { useSession } from '../api/session';
import { FindLine } from '../screens/find/FindLine';
import { SavedListLinks } from '../shared/lists/SavedListLinks';
import { currentLight, setLight, type Light } from '../ui/light';
import { Menu } from '../ui/Menu';
import { Body, Places, Shell, SkipLink, TopLine, Wordmark } from '../ui/Page';
import { ShortcutContext, useShortcut } from '../ui/shortcuts';
import { useSay } from '../ui/StatusLine';
import { useKeepFocus } from '../ui/useKeepFocus';
import { Small } from '../ui/Text';
import { LeaveGuard } from './LeaveGuard';
import { CodeAgain } from './CodeAgain';
import { SignInAgain } from './SignInAgain';

const LIGHTS: Record<Light, string> = { system: 'Light: as the computer', paper: 'Light: by day', lamp: 'Light: by lamp' };

/** The line at the top, the places at the left, and whatever page is open. */
export function Frame() {
    const navigate = useNavigate();
    const { mayRunOffice } = useSession();
    useShortcut('g t', 'Go to today', () => void navigate('/'));
    useShortcut('g d', 'Go to the directory', () => void navigate('/directory'));
    useShortcut('g c', 'Go to cases & projects', () => void navigate('/engagements'));
    useShortcut('g x', 'Search for conflicts', () => void navigate('/conflicts'));
    useShortcut('g l', 'Go to the lists under names', () => void navigate('/directory', { state: { toLists: true } }));
    useShortcut('g b', 'Go to the ledger', () => void navigate('/ledger'));
    useShortcut('g w', 'Go to what is under way', () => void navigate('/under-way'));
    useShortcut('g u', 'Go to upkeep', () => void navigate('/upkeep'));
    useShortcut('g o', 'Go to the office, for administrators', () => mayRunOffice && void navigate('/office'));
    useFocusOnNewPage();
    useKeepFocus();

    return (
        <Shell>
            <SkipLink href="#sheet">Skip to the page</SkipLink>
            <TopLine>
                <Wordmark>Neat Almanac</Wordmark>
                <FindLine />
                <You />
            </TopLine>
            <Body>
                <Places aria-label="Places">
                    <NavLink to="/" end>Today <DueCount /></NavLink>
                    <NavLink to="/directory">Directory</NavLink>
                    <SavedListLinks of="parties" name="Lists of the directory" />
                    <NavLink to="/engagements">Cases & projects</NavLink>
                    <SavedListLinks of="engagements" name="Lists of cases & projects" />
                    <NavLink to="/ledger">Ledger</NavLink>
                    <SavedListLinks of="documents" name="Lists of the ledger" />
                    <NavLink to="/upkeep">Upkeep</NavLink>
                    <NavLink to="/under-way">Under way</NavLink>
                    {mayRunOffice && <NavLink to="/office">Office</NavLink>}
                </Places>
                <SignInAgain><CodeAgain><Outlet /></CodeAgain></SignInAgain>
            </Body>
            <LeaveGuard />
        </Shell>
    );
}

function You() {
    const session = useSession();
    const navigate = useNavigate();
    const client = useQueryClient();
    const say = useSay();
    const { showList } = useContext(ShortcutContext);
    const [light, setCurrent] = useState(currentLight);

    const signOut = async () => {
        try {
            await ask(api.DELETE('/api/session'));
            await navigate('/sign-in');
            client.clear();
            await client.fetchQuery(sessionQuery);
        } catch (error) {
            say(`You are still signed in. ${(error as Error).message}`);
        }
    };
    const lights = (Object.keys(LIGHTS) as Light[]).filter((other) => other !== light);

    return (
        <Menu
            label={<span>{session.userName}, {session.role}</span>}
            items={[
                ...lights.map((other) => ({
                    id: other,
                    name: LIGHTS[other],
                    onChoose: () => {
                        setLight(other);
                        setCurrent(other);
                    },
                })),
                { id: 'account', name: 'Your account', onChoose: () => void navigate('/account') },
                { id: 'keys', name: 'Keys on this screen', onChoose: showList },
                { id: 'sign-out', name: 'Sign out', onChoose: () => void signOut() },
            ]}
        />
    );
}

/** How many reminders are due; one that becomes due is said at the foot of the page. */
function DueCount() {
    const { data } = useQuery(dueQuery);
    const say = useSay();
    const known = useRef<Set<number>>(undefined);
    const due = data?.filter(({ isDue }) => isDue);

    useEffect(() => {
        if (due === undefined) {
            return;
        }
        const fresh = known.current === undefined ? [] : due.filter(({ id }) => !known.current?.has(id));
        known.current = new Set(due.map(({ id }) => id));
        if (fresh[0] !== undefined) {
            say(`Reminder: ${fresh[0].text} – ${fresh[0].about.name}`);
        }
    }, [due, say]);

    return due !== undefined && due.length > 0 ? <Small aria-label={`${due.length} due`}>{due.length}</Small> : null;
}

/** After a change of page the keyboard goes on from the page, unless the page has put it somewhere itself. */
function useFocusOnNewPage() {
    const { pathname } = useLocation();
    useEffect(() => {
        const active = document.activeElement;
        if (active === null || active === document.body) {
            document.getElementById('sheet')?.focus({ preventScroll: true });
        }
    }, [pathname]);
}

