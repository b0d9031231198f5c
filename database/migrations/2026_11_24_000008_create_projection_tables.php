<?php

declare(strict_types=1);

use Almanac\Ledger\DocumentState;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What is looked up over many records, written with its cause by the same code and rebuilt by `almanac index`: what
 * they owe, what they are found by, how lists show them, what they lack.
 */
return new class extends Migration
{
    private const SUMMED = 'kind, state, is_open, currency, next_due_on, is_in_parts';

    private const ADDED = ' ON CONFLICT ('.self::SUMMED.') DO UPDATE SET documents = documents + excluded.documents,'
        .' total_minor = total_minor + excluded.total_minor, net_minor = net_minor + excluded.net_minor,'
        .' open_minor = open_minor + excluded.open_minor;';

    public function up(): void
    {
        $this->createBooks();
        $this->createSearch();
        $this->createValues();
        $this->sumDocuments();

        // Words and numbers that stand in one field of a row, as rows to ask for.
        $this->rows('contact_point_uses', 'contact_points', 'uses', 'contact_point_id', 'use', null);
        $this->rows('address_use_purposes', 'address_uses', 'uses', 'address_use_id', 'purpose', null);
        $this->rows(
            'document_line_cost_centres', 'document_lines', 'cost_centre_ids', 'document_line_id', 'cost_centre_id',
            'cost_centres',
        );
        foreach (['client_terms', 'vendor_terms'] as $terms) {
            $this->rows("{$terms}_accounts", $terms, 'account_ids', "{$terms}_id", 'account_id', 'ledger_accounts');
            $this->rows("{$terms}_cost_centres", $terms, 'cost_centre_ids', "{$terms}_id", 'cost_centre_id', 'cost_centres');
        }
    }

    private function createBooks(): void
    {
        // What everybody owes and is owed, by side and currency; written by the core, and again when its day has come.
        Schema::create('standings', function (Blueprint $table): void {
            $table->foreignId('party_id')->constrained()->cascadeOnDelete();
            $table->string('side', 10);
            $table->char('currency', 3);
            $table->bigInteger('open_minor');
            $table->bigInteger('credits_minor');
            $table->bigInteger('unallocated_minor');
            $table->bigInteger('overdue_minor');
            $table->date('oldest_due_on')->nullable();
            $table->integer('days_to_pay_tenths')->nullable();
            $table->date('stale_on')->nullable()->index();
            $table->primary(['party_id', 'side', 'currency']);
        });

        // The same in one line a record and in the currency of the office, for lists.
        Schema::create('balances', function (Blueprint $table): void {
            $table->foreignId('party_id')->primary()->constrained()->cascadeOnDelete();
            $table->boolean('is_in_use')->default(true);
            $table->bigInteger('receivable_minor');
            $table->bigInteger('payable_minor');
            $table->bigInteger('overdue_minor');
            $table->integer('days_to_pay_tenths')->nullable();
            $table->boolean('is_over_limit')->default(false)->index();
            // What a client may owe and what is left of it, in the currency of the limit.
            $table->bigInteger('limit_minor')->nullable();
            $table->bigInteger('left_minor')->nullable();
            $table->char('limit_currency', 3)->nullable();
        });
        Schema::create('record_gaps', function (Blueprint $table): void {
            $table->foreignId('party_id')->primary()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('gaps')->index();
            $table->unsignedBigInteger('owner_id')->nullable();
            $table->index(['owner_id', 'gaps']);
        });
    }

    private function createSearch(): void
    {
        Schema::create('record_lines', function (Blueprint $table): void {
            $table->foreignId('party_id')->primary()->constrained()->cascadeOnDelete();
            $table->boolean('is_in_use');
            $table->string('kind', 10);
            $table->string('sort_key');
            $table->date('stale_on')->nullable();
            $table->text('line');
        });
        DB::statement('CREATE INDEX record_lines_filed ON record_lines (is_in_use, sort_key, party_id, kind)');
        DB::statement('CREATE INDEX record_lines_all_filed ON record_lines (sort_key, party_id, is_in_use, kind)');
        DB::statement('CREATE INDEX record_lines_stale ON record_lines (stale_on) WHERE stale_on IS NOT NULL');

        // Two full-text indexes: whole words and their beginnings, and every run of three letters for parts of words,
        // the figures of phones, and slips.
        DB::statement(<<<'SQL'
            CREATE VIRTUAL TABLE search_words USING fts5(
                name, also, number, works_at, email, phone, place,
                tokenize = "unicode61 remove_diacritics 2", prefix = '1 2 3'
            )
            SQL);
        DB::statement('CREATE VIRTUAL TABLE search_letters USING fts5(name, figures, tokenize = "trigram")');
        Schema::create('search_vocabulary', function (Blueprint $table): void {
            $table->id();
            $table->string('word')->unique();
        });
        // Only its index is kept; the words stand above.
        DB::statement("CREATE VIRTUAL TABLE search_spellings USING fts5(word, content = '', tokenize = 'trigram')");

        Schema::create('look_alike_keys', function (Blueprint $table): void {
            $table->foreignId('party_id')->index()->constrained()->cascadeOnDelete();
            $table->string('key');
            $table->primary(['key', 'party_id']);
        });
    }

    /** What lists ask of each record and sort it by, side by side in one narrow row: a filter reads it from end to end. */
    private function createValues(): void
    {
        Schema::create('record_values', function (Blueprint $table): void {
            // What is asked most stands first: SQLite reads a row up to what is asked of it.
            $table->foreignId('party_id')->primary()->constrained()->cascadeOnDelete();
            foreach (['is_in_use', 'is_client', 'is_vendor'] as $isSo) {
                $table->boolean($isSo);
            }
            $table->string('kind', 10);
            foreach (['receivable_minor', 'overdue_minor', 'payable_minor'] as $figure) {
                $table->bigInteger($figure)->nullable();
            }
            $text = fn (string ...$columns) => array_map(fn (string $column) => $table->string($column)->nullable(), $columns);
            // Letters without case and accents; what is empty is null.
            $text('region', 'country', 'locality', 'postcode', 'email', 'phone', 'tags', 'types');
            foreach (['added_at', 'changed_at'] as $moment) {
                $table->timestamp($moment)->nullable();
            }
            foreach (['owner_id', 'account_manager_id', 'buyer_id', 'added_by_id', 'changed_by_id'] as $colleague) {
                $table->unsignedBigInteger($colleague)->nullable();
            }
            // The last day of what may have happened on many.
            foreach (['archived_on', 'form_on', 'no_letters_on', 'last_on', 'billed_on', 'bill_on', 'paid_on', 'received_on', 'reminder_on'] as $day) {
                $table->date($day)->nullable();
            }
            // What it was that happened last.
            $table->string('last_what', 20)->nullable();
            foreach (['has_tax_number', 'has_bank', 'is_over_limit'] as $isSo) {
                $table->boolean($isSo)->default(false);
            }
            // Whether it is ready for a purpose; null for whom the purpose does not concern.
            foreach (['ready_write_to', 'ready_bill', 'ready_pay', 'ready_tax_report'] as $purpose) {
                $table->boolean($purpose)->nullable();
            }
            foreach (['days_to_pay_tenths', 'limit_minor', 'left_minor'] as $figure) {
                $table->bigInteger($figure)->nullable();
            }
            $table->char('limit_currency', 3)->nullable();
            $table->double('latitude')->nullable();
            $table->double('longitude')->nullable();
            $table->unsignedTinyInteger('grade')->nullable();
            $table->boolean('is_deceased');
            $table->unsignedInteger('number');
            $text('source', 'industry', 'legal_form', 'language', 'name', 'place', 'position', 'works_at');
            $text('legal_name', 'preferred', 'payee_name', 'registration_number');
            // The key by which names are sorted, and the letter of the index that they stand under.
            $table->string('collated');
            $table->string('letter', 4);
        });
        DB::statement('CREATE INDEX record_values_filed ON record_values (is_in_use, collated, party_id)');
        DB::statement('CREATE INDEX record_values_all_filed ON record_values (collated, party_id)');
        DB::statement('CREATE INDEX record_values_letters ON record_values (is_in_use, letter)');
        DB::statement('CREATE INDEX record_values_named ON record_values (name)');
        DB::statement('CREATE INDEX record_values_new ON record_values (added_at)');
        // The few that are counted whenever the directory is open.
        DB::statement('CREATE INDEX record_values_over ON record_values (party_id) WHERE is_over_limit = 1');
        DB::statement('CREATE INDEX record_values_unmailed ON record_values (is_in_use) WHERE email IS NULL');

        // The directory in the order of what most offices look at first; those who have nothing there follow by their names.
        foreach (['receivable_minor', 'overdue_minor', 'payable_minor', 'days_to_pay_tenths'] as $figure) {
            DB::statement("CREATE INDEX record_values_by_$figure ON record_values ($figure DESC, collated, party_id)"
                ." WHERE is_in_use = 1 AND $figure IS NOT NULL");
        }

        // Written by others than whoever writes the row: kept by the database itself.
        $counted = "'".implode("', '", array_column(DocumentState::counted(), 'value'))."'";
        $happened = 'SELECT kind AS what, happened_on AS day, 1 AS rank, id FROM log_entries WHERE subject_id = %1$s'
            ." UNION ALL SELECT kind, dated_on, 2, id FROM documents WHERE party_id = %1\$s AND state IN ($counted)"
            ." UNION ALL SELECT side || '-payment', paid_on, 3, id FROM payments WHERE party_id = %1\$s AND is_void = 0";
        $last = "(last_on, last_what) = (SELECT max(day), what FROM (SELECT day, what FROM ($happened) ORDER BY day DESC, rank, id DESC LIMIT 1))";
        $lastOf = fn (string $party) => sprintf($last, $party);
        $reminder = fn (string $party) => "reminder_on = (SELECT min(due_on) FROM reminders WHERE subject_id = $party AND done_at IS NULL)";
        $document = fn (string $kind, string $party) => "(SELECT max(dated_on) FROM documents WHERE party_id = $party AND kind = '$kind'"
            ." AND state IN ($counted))";
        $payment = fn (string $side, string $party) => "(SELECT max(paid_on) FROM payments WHERE party_id = $party AND side = '$side' AND is_void = 0)";
        $booked = fn (string $party) => "billed_on = {$document('invoice', $party)}, bill_on = {$document('bill', $party)},"
            ." paid_on = {$payment('vendor', $party)}, received_on = {$payment('client', $party)}, {$lastOf($party)}";
        $figures = '(receivable_minor, overdue_minor, payable_minor, days_to_pay_tenths, limit_minor, left_minor, limit_currency, is_over_limit)';
        $balance = 'nullif(%1$sreceivable_minor, 0), nullif(%1$soverdue_minor, 0), nullif(%1$spayable_minor, 0), %1$sdays_to_pay_tenths,'
            .' %1$slimit_minor, %1$sleft_minor, %1$slimit_currency, %1$sis_over_limit';
        DB::statement("CREATE TRIGGER record_values_added AFTER INSERT ON record_values BEGIN UPDATE record_values SET $figures"
            .' = (SELECT '.sprintf($balance, '').' FROM balances WHERE party_id = new.party_id) WHERE party_id = new.party_id'
            .' AND EXISTS (SELECT 1 FROM balances WHERE party_id = new.party_id);'
            ." UPDATE record_values SET {$booked('new.party_id')}, {$reminder('new.party_id')},"
            .' added_by_id = (SELECT user_id FROM changes WHERE subject_id = new.party_id ORDER BY id LIMIT 1),'
            ." (changed_at, changed_by_id) = (SELECT at, user_id FROM changes WHERE subject_id = new.party_id AND section <> 'log'"
            .' ORDER BY at DESC, id DESC LIMIT 1) WHERE party_id = new.party_id; END');
        DB::statement("CREATE TRIGGER record_values_balanced AFTER INSERT ON balances BEGIN UPDATE record_values SET $figures"
            .' = ('.sprintf($balance, 'new.')."), {$booked('new.party_id')} WHERE party_id = new.party_id; END");
        DB::statement('CREATE TRIGGER record_values_changed AFTER INSERT ON changes BEGIN UPDATE record_values SET'
            .' added_by_id = coalesce(added_by_id, new.user_id),'
            ." changed_at = iif(new.section = 'log', changed_at, new.at),"
            ." changed_by_id = iif(new.section = 'log', changed_by_id, new.user_id) WHERE party_id = new.subject_id; END");
        foreach (['INSERT' => 'new', 'UPDATE OF happened_on, kind' => 'new', 'DELETE' => 'old'] as $event => $row) {
            $name = 'record_values_told_'.strtolower(substr($event, 0, 6));
            DB::statement("CREATE TRIGGER $name AFTER $event ON log_entries BEGIN"
                ." UPDATE record_values SET {$lastOf("$row.subject_id")} WHERE party_id = $row.subject_id; END");
        }
        foreach (['INSERT' => 'new', 'UPDATE OF due_on, done_at' => 'new', 'DELETE' => 'old'] as $event => $row) {
            $name = 'record_values_reminded_'.strtolower(substr($event, 0, 6));
            DB::statement("CREATE TRIGGER $name AFTER $event ON reminders BEGIN"
                ." UPDATE record_values SET {$reminder("$row.subject_id")} WHERE party_id = $row.subject_id; END");
        }
    }

    /**
     * What all documents of a kind, a state and a currency come to, what is open by the day it is due, so that nobody adds
     * up half a million of them for a page of fifty. Kept by the database itself with every row that comes, changes or goes,
     * however it does.
     */
    private function sumDocuments(): void
    {
        Schema::create('document_sums', function (Blueprint $table): void {
            $this->sums($table);
            $table->primary(explode(', ', self::SUMMED));
        });
        // What an import has staged counts for nobody, and then all at once: 50,000 documents one by one would take
        // half a second in which nobody could save.
        $isCounted = fn (string $row) => "WHEN $row.state <> 'staged'";
        $changed = 'kind, state, currency, next_due_on, is_in_parts, total_minor, net_minor, open_minor';
        DB::statement("CREATE TRIGGER document_added AFTER INSERT ON documents {$isCounted('new')} BEGIN {$this->add('new', 1)} END");
        DB::statement("CREATE TRIGGER document_removed AFTER DELETE ON documents {$isCounted('old')} BEGIN {$this->add('old', -1)} END");
        DB::statement("CREATE TRIGGER document_changed AFTER UPDATE OF $changed ON documents {$isCounted('old')}"
            ." BEGIN {$this->add('old', -1)}{$this->add('new', 1)} END");
        $this->sumImports();
    }

    private function sums(Blueprint $table): void
    {
        $table->string('kind', 20);
        $table->string('state', 20);
        $table->boolean('is_open');
        $table->char('currency', 3);
        // Empty where nothing is open.
        $table->date('next_due_on');
        $table->boolean('is_in_parts');
        $table->bigInteger('documents');
        $table->bigInteger('total_minor');
        $table->bigInteger('net_minor');
        $table->bigInteger('open_minor');
    }

    /** The same of what each import has staged, added up while it is, so that all of it counts within a moment. */
    private function sumImports(): void
    {
        Schema::create('import_sums', function (Blueprint $table): void {
            $table->foreignId('import_id')->constrained()->cascadeOnDelete();
            $this->sums($table);
            $table->primary(['import_id', ...explode(', ', self::SUMMED)]);
        });
        foreach (['staged' => ['INSERT', 'new', 1], 'unstaged' => ['DELETE', 'old', -1]] as $name => [$event, $row, $sign]) {
            // As it stands when it counts.
            $key = str_replace("$row.state", "iif($row.total_minor = 0, 'settled', 'issued')", $this->key($row));
            DB::statement("CREATE TRIGGER document_$name AFTER $event ON documents WHEN $row.state = 'staged' BEGIN"
                .' INSERT INTO import_sums (import_id, '.self::SUMMED.', documents, total_minor, net_minor, open_minor)'
                ." VALUES ($row.import_id, $key, $sign, $sign * $row.total_minor, $sign * $row.net_minor, $sign * $row.open_minor)"
                .str_replace('(kind', '(import_id, kind', self::ADDED).' END');
        }
        DB::statement("CREATE TRIGGER import_counted AFTER UPDATE OF state ON imports WHEN old.state = 'taking' AND new.state = 'counting'"
            .' BEGIN INSERT INTO document_sums ('.self::SUMMED.', documents, total_minor, net_minor, open_minor)'
            .' SELECT '.self::SUMMED.', documents, total_minor, net_minor, open_minor FROM import_sums'
            .' WHERE import_id = new.id AND documents > 0'.self::ADDED.' DELETE FROM import_sums WHERE import_id = new.id; END');
    }

    private function add(string $row, int $sign): string
    {
        return 'INSERT INTO document_sums ('.self::SUMMED.', documents, total_minor, net_minor, open_minor)'
            ." VALUES ({$this->key($row)}, $sign, $sign * $row.total_minor, $sign * $row.net_minor, $sign * $row.open_minor)"
            .self::ADDED
            // Days pass, and what was due on them is settled.
            .($sign < 0 ? ' DELETE FROM document_sums WHERE ('.self::SUMMED.") = ({$this->key($row)}) AND documents = 0;" : '');
    }

    private function key(string $row): string
    {
        return "$row.kind, $row.state, $row.open_minor > 0, $row.currency,"
            ." iif($row.open_minor > 0, coalesce($row.next_due_on, ''), ''), $row.is_in_parts";
    }

    /** @param  string|null  $of  the table that the values are numbers of; null where they are words */
    private function rows(string $rows, string $table, string $column, string $owner, string $value, ?string $of): void
    {
        Schema::create($rows, function (Blueprint $made) use ($table, $owner, $value, $of): void {
            $made->foreignId($owner)->constrained($table)->cascadeOnDelete();
            $of === null ? $made->string($value, 30)->index() : $made->foreignId($value)->index()->constrained($of);
            $made->primary([$owner, $value]);
        });
        $insert = "INSERT OR IGNORE INTO $rows ($owner, $value) SELECT new.id, value FROM json_each(new.$column);";
        $isAny = "WHEN new.$column IS NOT NULL AND new.$column <> '[]'";
        DB::statement("CREATE TRIGGER {$rows}_added AFTER INSERT ON $table $isAny BEGIN $insert END");
        DB::statement("CREATE TRIGGER {$rows}_changed AFTER UPDATE OF $column ON $table BEGIN"
            ." DELETE FROM $rows WHERE $owner = new.id; $insert END");
    }
};
