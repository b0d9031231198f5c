import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useCallback, useState } from 'react';
import { Link } from 'react-router';
import { placesQuery, type WantedList } from '../../api/queries';
import { together } from '../../shared/lists/FilterLine';
import { Quiet, Small, Stack } from '../../ui/Text';
import { Unread } from '../../ui/Unread';

const PlacedMap = lazy(() => import('./PlacedMap'));

interface Props {
    wanted: WantedList;
    total: number;
    /** The list that a sentence asks for. */
    addressOf: (filter: string) => string;
    onFilter: (filter: string) => void;
}

/** Where the records of a list are. */
export function PlacesView({ wanted, total, addressOf, onFilter }: Props) {
    const [sight, setSight] = useState({ nearness: 3, inside: '' });
    const { data: places, error, refetch } = useQuery(placesQuery(wanted, sight.nearness, sight.inside));
    const filter = places?.filter;
    const narrowed = useCallback((clause: string) => {
        const { parts = [], isAll = true, sentence = '' } = filter ?? {};
        return parts.length === 0 ? clause : isAll ? together([...parts.map(({ text }) => text), clause], true) : `(${sentence}), ${clause}`;
    }, [filter]);
    const onView = useCallback((nearness: number, inside: string) => setSight({ nearness, inside }), []);
    if (error !== null) {
        return <Unread what="The map" error={error} retry={() => void refetch()} />;
    }
    return (
        <Stack $gap="small" $stretch aria-busy={places === undefined}>
            {places !== undefined && (
                <>
                    <Suspense fallback={<Quiet>Loading …</Quiet>}>
                        <PlacedMap
                            places={places}
                            addressOf={(clause) => addressOf(narrowed(clause))}
                            onRectangle={(inside) => onFilter(narrowed(`inside ${inside}`))}
                            onView={onView}
                        />
                    </Suspense>
                    <Small>
                        {places.nowhere === 0 ? 'Everybody in the list has an address.' : (
                            <>
                                <Link to={addressOf(narrowed(places.nowhereClause))}>{places.nowhere.toLocaleString('en')} without an address</Link>,
                                of {total.toLocaleString('en')}, {places.nowhere === 1 ? 'is' : 'are'} not on the map.
                            </>
                        )}
                        {places.isCut && ' There are more dots than are shown: come nearer.'}
                    </Small>
                </>
            )}
        </Stack>
    );
}
