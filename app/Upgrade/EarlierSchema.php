<?php

declare(strict_types=1);

namespace App\Upgrade;

/**
 * How databases of versions before 0.3 differ from the schema that 0.3 was released with: released migrations were
 * edited then, so each of those databases has tables and columns of its own. Data only; CarryOver reads it.
 */
final class EarlierSchema
{
    /** Tables by their released name: what they were called before. */
    public const TABLES = ['tax_numbers' => 'tax_ids', 'allocations' => 'settlements', 'bank_details' => 'bank_accounts'];

    /** Columns by released table and name: what they were called before. */
    public const COLUMNS = [
        'allocations' => ['allocated_on' => 'day'],
        'bank_details' => ['decided_by_id' => 'settled_by_id', 'decided_at' => 'settled_at'],
        'cautions' => ['subject_id' => 'party_id'],
        'changes' => ['subject_id' => 'party_id'],
        'currency_rates' => ['quoted_on' => 'day'],
        'detail_values' => ['subject_id' => 'party_id'],
        'document_dues' => ['due_on' => 'due'],
        'documents' => ['dated_on' => 'date', 'due_on' => 'due', 'next_due_on' => 'next_due'],
        'files' => ['subject_id' => 'party_id'],
        'holidays' => ['kept_on' => 'day'],
        'log_entries' => ['subject_id' => 'party_id', 'happened_on' => 'day'],
        'parties' => ['born_on' => 'birth_date'],
        'payments' => ['paid_on' => 'day'],
        'reminders' => ['subject_id' => 'party_id', 'first_on' => 'first_day', 'due_on' => 'day'],
        'section_versions' => ['subject_id' => 'party_id'],
    ];

    /** Values by released table and column: how they were written before, and how they are written now. */
    public const VALUES = [
        'bank_details' => [
            'kind' => ['IBAN' => 'iban', 'US account' => 'us', 'UK account' => 'uk', 'payee name' => 'payee'],
            'state' => ['on hold' => 'on-hold', 'to be ended' => 'ending'],
            'how' => ['called a number known before' => 'call', 'by letter' => 'letter', 'in person' => 'in-person', '' => null],
        ],
        'contact_points' => ['uses' => self::USES],
        'detail_fields' => ['kind' => ['long text' => 'long-text', 'yes or no' => 'yes-or-no', 'several choices' => 'several-choices']],
        'offices' => ['ageing_by' => ['due date' => 'due-date', 'document date' => 'document-date']],
        'parties' => ['report_choice' => ['by the rule' => 'by-rule']],
        'client_terms' => ['pay_by' => self::PAY_BY],
        'vendor_terms' => ['pay_by' => self::PAY_BY],
        'payments' => ['pay_by' => self::PAY_BY],
        'relations' => ['together' => ['each alone' => 'alone', 'both names' => 'names', 'Mr. and Mrs.' => 'titles']],
        'tax_numbers' => ['kind' => [
            'VAT number' => 'VAT', 'Canadian business number' => 'CA-BN', 'IRD number' => 'IRD', 'DUNS number' => 'DUNS',
            'Peppol participant' => 'Peppol',
        ]],
    ];

    /** Columns whose values are lists in JSON: parts of them are replaced. */
    public const LISTS = [['contact_points', 'uses']];

    private const PLACE = "row_number() OVER (PARTITION BY old.kind, old.number, iif(old.kind IN ('bill', 'credit-received'), old.party_id, 0),"
        ." iif(old.kind IN ('bill', 'credit-received') AND old.state = 'void', old.id, 0) ORDER BY old.id)";

    private const PAY_BY = ['direct debit' => 'direct-debit'];

    private const USES = ['copies of invoices' => 'invoice-copies', 'copies of statements' => 'statement-copies'];

    /**
     * New columns that take a value from the old row: an SQL expression that is used where the column was not there
     * before. A column with none of these takes its default.
     */
    public const COMPUTED = [
        // By which a record is found under a former name.
        'changes' => ['key' => "CASE WHEN section <> 'identity' THEN '' WHEN label = 'Family name' THEN 'family' WHEN label = 'Name' THEN 'name' ELSE '' END"],
        'documents' => ['is_in_parts' => '(SELECT count(*) > 1 FROM was.document_dues WHERE document_id = old.id)'],
        'import_lines' => ['head' => 'line'],
        'jobs' => ['kind' => "'statement'"],
        'look_alike_pairs' => [
            // Compared again by the next check; until then a pair says only that somebody saw it.
            'verdict' => "'perhaps'", 'score' => '0', 'signs' => "'[]'", 'reasons' => '0',
            'state' => "iif(is_different, 'different', 'open')",
            'group_id' => 'iif(is_different, NULL, id)',
            'added_by_id' => 'iif(is_different, NULL, user_id)',
            'decided_by_id' => 'iif(is_different, user_id, NULL)',
            'decided_at' => 'iif(is_different, updated_at, NULL)',
        ],
        'users' => ['role' => "coalesce((SELECT r.name FROM was.model_has_roles h JOIN was.roles r ON r.id = h.role_id WHERE h.model_id = old.id), 'reader')"],
    ];

    /** Documents of the time when they held their parts: a number could stand twice then, and the later one says so. */
    public const OF_PARTS = [
        'is_in_parts' => "json_array_length(coalesce(old.parts, '[]')) > 1",
        'number' => 'CASE WHEN '.self::PLACE." = 1 OR old.number IS NULL THEN old.number ELSE old.number || ' (' || ".self::PLACE." || ')' END",
    ];

    /** What the stored states of a section lack when they are of an earlier version, by section. */
    public const STATES = ['classification' => ['noLettersOn' => '', 'noLettersHow' => '']];

    /** Columns that are gone; what they held is carried by COMPUTED and CarryOver, or can be read off elsewhere. */
    public const GONE = [
        'documents' => ['parts'],
        'imports' => ['found', 'problems', 'problem_count'],
        'look_alike_pairs' => ['is_different', 'user_id'],
        'offices' => ['logo_type'],
    ];

    /** Tables that are gone: roles became a column of users. */
    public const GONE_TABLES = ['roles', 'permissions', 'model_has_roles', 'model_has_permissions', 'role_has_permissions'];

    /** Tables that are computed from others, by triggers while rows are copied or by `almanac index` afterwards. */
    public const COMPUTED_TABLES = [
        'address_use_purposes', 'balances', 'client_terms_accounts', 'client_terms_cost_centres', 'contact_point_uses',
        'document_line_cost_centres', 'document_sums', 'engagement_words', 'import_sums', 'look_alike_keys', 'mention_words',
        'record_gaps', 'record_lines', 'record_values', 'search_letters', 'search_spellings', 'search_vocabulary', 'search_words',
        'standings', 'vendor_terms_accounts', 'vendor_terms_cost_centres',
    ];

    /** Files that were read whole, before lines were kept: they are handed in again. */
    public const READ_WHOLE = ['checking', 'checked', 'columns', 'taking'];
}
