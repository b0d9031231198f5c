import { Fragment } from 'react';
import { Link } from 'react-router';

/** The names of some parties, each leading to its record. */
export function PartyLinks({ parties }: { parties: { id: number; name: string }[] }) {
    return parties.map(({ id, name }, index) => (
        <Fragment key={id}>{index > 0 && ', '}<Link to={`/records/${id}`}>{name}</Link></Fragment>
    ));
}
