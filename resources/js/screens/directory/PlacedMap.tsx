import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import { DotMap, middleOf, type Dot } from '../../ui/DotMap';

interface Props {
    places: Schemas['Places'];
    /** The list, narrowed by one more clause. */
    addressOf: (clause: string) => string;
    onRectangle: (inside: string) => void;
    onView: (nearness: number, inside: string) => void;
}

/** The records of a list on the map: a dot of one opens it, a dot of several opens their list. */
export default function PlacedMap({ places, addressOf, onRectangle, onView }: Props) {
    const navigate = useNavigate();
    const dots = useMemo(() => [...places.areas, ...places.dots].flatMap((dot): Dot[] => {
        const { latitude, longitude, many, name, place, clause, recordId } = dot;
        const [x, y] = latitude !== null && longitude !== null ? [longitude, latitude] : middleOf(dot.country, place) ?? [];
        return x === undefined || y === undefined ? [] : [{
            key: clause,
            longitude: x,
            latitude: y,
            many,
            isArea: latitude === null,
            label: many === 1 ? `${name}, ${place}` : `${many.toLocaleString('en')} records around ${place}`,
            href: many === 1 ? `/records/${recordId}` : addressOf(clause),
        }];
    }), [places, addressOf]);
    return <DotMap dots={dots} onOpen={(href) => void navigate(href)} onRectangle={onRectangle} onView={onView} />;
}
