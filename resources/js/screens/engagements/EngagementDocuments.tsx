import { Link } from 'react-router';
import type { EngagementData } from '../../api/queries';
import { DocumentTable } from '../../shared/DocumentTable';
import { payersOf } from '../../shared/engagementParties';
import { PlainSection } from '../../shared/section/SectionFrame';
import { ButtonLink } from '../../ui/Button';
import { Quiet, Row, Stack } from '../../ui/Text';
import { useMayEdit } from './useEngagement';

/** What was written for it, and what can be. */
export function EngagementDocuments({ engagement }: { engagement: EngagementData }) {
    const mayEdit = useMayEdit(engagement);
    const { documents, documentCount, row } = engagement;
    return (
        <PlainSection id="documents" title="Documents">
            <Stack $gap="small" $stretch>
                {mayEdit && payersOf(engagement).length > 1 && (
                    <Row $gap="small">
                        <ButtonLink href={`/engagements/${row.id}/invoice`}>New invoice in shares</ButtonLink>
                    </Row>
                )}
                {mayEdit && row.clients.map(({ id, name }) => (
                    <Row key={id} $gap="small">
                        {row.clients.length > 1 && <Quiet>{name}:</Quiet>}
                        <ButtonLink href={`/records/${id}/write/quote?engagement=${row.id}`}>New quote</ButtonLink>
                        <ButtonLink href={`/records/${id}/write/invoice?engagement=${row.id}`}>New invoice</ButtonLink>
                    </Row>
                ))}
                {documents.length === 0 ? (
                    <Quiet>No documents yet. Quotes, invoices and bills that are written for it stand here, the newest first.</Quiet>
                ) : (
                    <>
                        <DocumentTable rows={documents} withPartyBelow />
                        <Row $gap="small">
                            <Link to={`/ledger?engagementId=${row.id}`}>All {documentCount} documents</Link>
                            <Link to={`/ledger?what=payments&engagementId=${row.id}`}>All payments</Link>
                        </Row>
                    </>
                )}
            </Stack>
        </PlainSection>
    );
}
