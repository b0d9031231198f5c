<?php

declare(strict_types=1);

namespace App\Register;

/** Whatever points to a party, in one list. A table that comes to name parties is added here; a test says when it was not. */
final class PartyReferences
{
    /** @return list<Reference> those that others point into come after them */
    public static function all(): array
    {
        return [
            Reference::binding('documents', 'party_id', 'document or payment', 'documents and payments', AtUniqueKey::Refused),
            Reference::binding('payments', 'party_id', 'document or payment', 'documents and payments'),
            Reference::binding('positions', 'person_id', 'position', 'positions', atMerge: AtMerge::Settles),
            Reference::binding('positions', 'company_id', 'position', 'positions', atMerge: AtMerge::Settles),
            Reference::binding('relations', 'from_id', 'relation', 'relations', atMerge: AtMerge::Settles),
            Reference::binding('relations', 'to_id', 'relation', 'relations', atMerge: AtMerge::Settles),
            Reference::binding('log_entries', 'with_party_id', 'log entry', 'log entries'),
            Reference::binding('meeting_parties', 'party_id', 'meeting', 'meetings', AtUniqueKey::Goes, AtMerge::Settles),
            Reference::binding('engagement_parties', 'party_id', 'case or project', 'cases and projects', atMerge: AtMerge::Settles),
            Reference::binding('engagement_parties', 'via_id', 'case or project', 'cases and projects', atMerge: AtMerge::Settles),
            Reference::binding('engagement_parties', 'contact_id', 'case or project', 'cases and projects', atMerge: AtMerge::Settles),

            Reference::binding(
                'former_records', 'kept_id', 'record made one with it', 'records made one with it',
                atMerge: AtMerge::Settles,
            ),

            ...References::ofSubject(),
            Reference::owned('former_records', atUniqueKey: AtUniqueKey::Goes, atMerge: AtMerge::Stays),
            Reference::owned('record_edits', 'party_id', AtUniqueKey::Goes, AtMerge::Drops),
            Reference::owned('messages'),
            Reference::owned('jobs'),
            Reference::owned('bank_details', 'party_id', AtUniqueKey::Refused, AtMerge::Settles),
            Reference::owned('cards'),
            Reference::owned('tax_numbers', atMerge: AtMerge::Settles),
            Reference::owned('party_codes', atMerge: AtMerge::Settles),
            Reference::owned('party_list_items', 'party_id', AtUniqueKey::Goes, AtMerge::Settles),
            Reference::owned('client_terms', 'party_id', AtUniqueKey::Goes, AtMerge::Settles),
            Reference::owned('vendor_terms', 'party_id', AtUniqueKey::Goes, AtMerge::Settles),
            Reference::owned('contact_points', atMerge: AtMerge::Settles),
            Reference::owned('address_uses', atMerge: AtMerge::Settles),
            Reference::owned('addresses', 'owner_id', atMerge: AtMerge::Settles),
            Reference::owned('look_alike_pairs', 'first_id', AtUniqueKey::Goes, AtMerge::Settles),
            Reference::owned('look_alike_pairs', 'second_id', AtUniqueKey::Goes, AtMerge::Settles),

            Reference::derived('look_alike_keys'),
            Reference::derived('look_alike_due'),
            Reference::derived('record_gaps'),
            Reference::derived('record_lines'),
            Reference::derived('record_values'),
            Reference::derived('record_uses', atMerge: AtMerge::Settles),
            Reference::derived('standings'),
            Reference::derived('balances'),
            Reference::derived('search_words', 'rowid'),
            Reference::derived('search_letters', 'rowid'),
        ];
    }
}
