import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { pathOf } from '../api/subjects';

/** Leads to a record, a case or a project. */
export function SubjectLink({ subject: { kind, id, name }, at = '' }: { subject: Schemas['SubjectLink']; at?: string }) {
    return <Link to={pathOf(kind, id) + at}>{name}</Link>;
}
