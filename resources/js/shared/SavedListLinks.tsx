import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Link, useLocation, useSearchParams } from 'react-router';
import { savedListsQuery } from '../api/queries';
import { Under } from '../ui/Page';
import { Hidden, Small } from '../ui/Text';
import { addressOf } from './listAddress';

/** The lists under names, below the directory, each with how many are in it now. */
export function SavedListLinks() {
    const { pathname, state } = useLocation();
    const all = useRef<HTMLUListElement>(null);
    const [search] = useSearchParams();
    const isThere = pathname === '/directory';
    const { data: lists = [] } = useQuery({ ...savedListsQuery, enabled: isThere });
    const isWanted = (state as { toLists?: boolean } | null)?.toLists === true && lists.length > 0;
    useEffect(() => {
        if (isWanted) {
            all.current?.querySelector('a')?.focus();
        }
    }, [isWanted]);
    if (!isThere || lists.length === 0) {
        return null;
    }
    return (
        <Under ref={all} aria-label="Lists of the directory">
            {lists.map((list) => (
                <li key={list.key}>
                    <Link to={addressOf(list)} {...(search.get('list') === list.key ? { 'aria-current': 'true' as const } : {})}>
                        <span>
                            {list.name}
                            {!list.isWhole && <> <span aria-hidden>?</span><Hidden>, not wholly understood any more</Hidden></>}
                        </span>
                        <Small>{list.count}</Small>
                    </Link>
                </li>
            ))}
        </Under>
    );
}
