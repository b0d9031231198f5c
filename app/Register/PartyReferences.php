<?php

declare(strict_types=1);

namespace App\Register;

use App\Models\Party;
use Illuminate\Support\Facades\DB;

/** Whatever points to a party, in one list. A table that comes to name parties is added here; a test says when it was not. */
final class PartyReferences
{
    /** @return list<Reference> those that others point into come after them */
    public static function all(): array
    {
        return [
            Reference::binding('documents', 'party_id', 'document or payment', 'documents and payments', AtUniqueKey::Refused),
            Reference::binding('payments', 'party_id', 'document or payment', 'documents and payments'),
            Reference::binding('positions', 'person_id', 'position', 'positions'),
            Reference::binding('positions', 'company_id', 'position', 'positions'),
            Reference::binding('relations', 'from_id', 'relation', 'relations'),
            Reference::binding('relations', 'to_id', 'relation', 'relations'),
            Reference::binding('log_entries', 'with_party_id', 'log entry', 'log entries'),

            Reference::owned('section_states', 'subject_id', AtUniqueKey::Goes),
            Reference::owned('section_versions', 'subject_id', AtUniqueKey::Goes),
            Reference::owned('changes', 'subject_id'),
            Reference::owned('log_entries', 'subject_id'),
            Reference::owned('cautions', 'subject_id'),
            Reference::owned('reminders', 'subject_id'),
            Reference::owned('files', 'subject_id'),
            Reference::owned('messages'),
            Reference::owned('jobs'),
            Reference::owned('bank_details', 'party_id', AtUniqueKey::Refused),
            Reference::owned('cards'),
            Reference::owned('tax_numbers'),
            Reference::owned('party_codes'),
            Reference::owned('party_list_items', 'party_id', AtUniqueKey::Goes),
            Reference::owned('detail_values', 'party_id', AtUniqueKey::Goes),
            Reference::owned('client_terms', 'party_id', AtUniqueKey::Goes),
            Reference::owned('vendor_terms', 'party_id', AtUniqueKey::Goes),
            Reference::owned('contact_points'),
            Reference::owned('address_uses'),
            Reference::owned('addresses', 'owner_id'),
            Reference::owned('look_alike_pairs', 'first_id', AtUniqueKey::Goes),
            Reference::owned('look_alike_pairs', 'second_id', AtUniqueKey::Goes),

            Reference::derived('look_alike_keys'),
            Reference::derived('record_gaps'),
            Reference::derived('record_lines'),
            Reference::derived('standings'),
            Reference::derived('balances'),
            Reference::derived('search_words', 'rowid'),
            Reference::derived('search_letters', 'rowid'),
        ];
    }

    /** @return list<string> what binds a party, in words: "2 positions" */
    public static function binding(Party $party): array
    {
        $counts = [];
        foreach (self::all() as $reference) {
            if ($reference->hold === Hold::Binding) {
                $counts[$reference->one] ??= [0, $reference->many];
                $counts[$reference->one][0] += DB::table($reference->table)->where($reference->column, $party->id)->count();
            }
        }

        return self::words($counts);
    }

    /**
     * @param array<string, array{int, string}> $counts how many there are, and what several are called; by what one is called
     *
     * @return list<string>
     */
    public static function words(array $counts): array
    {
        $words = [];
        foreach ($counts as $one => [$count, $many]) {
            if ($count > 0) {
                $words[] = $count === 1 ? "1 $one" : "$count $many";
            }
        }

        return $words;
    }

    /** Takes away what is part of a party, and what is worked out from it. */
    public static function release(Party $party): void
    {
        foreach (self::all() as $reference) {
            if ($reference->hold !== Hold::Binding) {
                DB::table($reference->table)->where($reference->column, $party->id)->delete();
            }
        }
    }
}
