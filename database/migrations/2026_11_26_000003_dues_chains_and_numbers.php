<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** When documents are due as rows; what of a promise has been taken; and numbers that are there once. */
return new class extends Migration
{
    private const OURS = "('quote', 'order', 'invoice', 'credit-note', 'purchase-order', 'opening-receivable', 'opening-payable')";

    public function up(): void
    {
        Schema::create('document_dues', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('document_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('rank');
            $table->date('due');
            $table->bigInteger('amount_minor');
            $table->bigInteger('open_minor');
            $table->unique(['document_id', 'rank']);
        });
        Schema::table('documents', function (Blueprint $table): void {
            $table->date('valid_until')->nullable();
            $table->unsignedSmallInteger('revision')->default(1);
            $table->foreignId('replaces_id')->nullable()->index()->constrained('documents');
        });
        Schema::table('document_lines', function (Blueprint $table): void {
            $table->foreignId('source_line_id')->nullable()->index()->constrained('document_lines')->nullOnDelete();
        });
        Schema::table('imports', fn (Blueprint $table) => $table->unsignedInteger('problem_count')->default(0));
        $this->moveParts();
        Schema::table('documents', fn (Blueprint $table) => $table->dropColumn('parts'));
        $this->tellApart();
        DB::statement('CREATE UNIQUE INDEX documents_our_number ON documents (kind, number, revision) WHERE number IS NOT NULL AND kind IN '.self::OURS);
        DB::statement("CREATE UNIQUE INDEX documents_their_number ON documents (party_id, kind, number) WHERE number IS NOT NULL AND state <> 'void' AND kind IN ('bill', 'credit-received')");
        DB::statement("CREATE UNIQUE INDEX documents_one_opening ON documents (party_id, kind) WHERE state <> 'void' AND kind IN ('opening-receivable', 'opening-payable')");
        DB::statement("CREATE UNIQUE INDEX tax_rates_one_from_a_day ON tax_rates (name, side, ifnull(since, '')) WHERE NOT is_retired");
    }

    private function moveParts(): void
    {
        $owed = ['invoice', 'bill', 'opening-receivable', 'opening-payable'];
        DB::table('documents')->whereIn('kind', $owed)->orderBy('id')->select('id', 'parts', 'due', 'date', 'total_minor', 'open_minor')->chunkById(500, function ($documents): void {
            $rows = [];
            foreach ($documents as $document) {
                $parts = json_decode((string) $document->parts, true);
                $parts = is_array($parts) && $parts !== [] ? $parts : [[$document->due ?? $document->date, $document->total_minor]];
                usort($parts, fn (array $one, array $other) => $one[0] <=> $other[0]);
                $open = (int) $document->open_minor;
                foreach (array_reverse($parts, true) as $rank => [$day, $amount]) {
                    $left = min((int) $amount, $open);
                    $open -= $left;
                    $rows[] = ['document_id' => $document->id, 'rank' => $rank, 'due' => $day, 'amount_minor' => $amount, 'open_minor' => $left];
                }
            }
            foreach (array_chunk($rows, 500) as $some) {
                DB::table('document_dues')->insert($some);
            }
        });
    }

    /** Where a number stood twice, the later one says so. */
    private function tellApart(): void
    {
        foreach (['kind IN '.self::OURS => 'kind, number', "kind IN ('bill', 'credit-received') AND state <> 'void'" => 'party_id, kind, number'] as $which => $by) {
            /** @var list<object{id: int, place: int}> $later */
            $later = DB::select("SELECT id, row_number() OVER (PARTITION BY $by ORDER BY id) AS place FROM documents WHERE number IS NOT NULL AND $which");
            foreach (array_filter($later, fn (object $row) => $row->place > 1) as $row) {
                DB::statement("UPDATE documents SET number = number || ' (' || ? || ')' WHERE id = ?", [$row->place, $row->id]);
            }
        }
    }
};
