import { Link } from 'react-router';
import type { Schemas } from '../api/client';

/** Leads to a record, a case or a project. */
export function SubjectLink({ subject: { kind, id, name }, at = '' }: { subject: Schemas['SubjectLink']; at?: string }) {
    return <Link to={`/${kind === 'party' ? 'records' : 'engagements'}/${id}${at}`}>{name}</Link>;
}
