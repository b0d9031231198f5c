import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Link, useLocation, useSearchParams } from 'react-router';
import { savedListsQuery, type ListOf } from '../../api/queries';
import { Under } from '../../ui/Page';
import { Hidden, Small } from '../../ui/Text';
import { addressOf, PLACE_OF } from './listAddress';

/** The lists under names, below the place that they belong to; those of records each with how many are in it now. */
export function SavedListLinks({ of, name }: { of: ListOf; name: string }) {
    const { pathname, state } = useLocation();
    const all = useRef<HTMLUListElement>(null);
    const [search] = useSearchParams();
    const isThere = pathname === PLACE_OF[of] || pathname === `${PLACE_OF[of]}/counted`;
    const { data: lists = [] } = useQuery({ ...savedListsQuery(of), enabled: isThere });
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
        <Under ref={all} aria-label={name}>
            {lists.map((list) => (
                <li key={list.key}>
                    <Link to={addressOf(of, list)} {...(search.get('list') === list.key ? { 'aria-current': 'true' as const } : {})}>
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
