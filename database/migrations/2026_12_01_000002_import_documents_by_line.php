<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The lines of a file of documents are kept as those of people and companies are: what each comes to is told by line. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('import_lines', function (Blueprint $table): void {
            // The line on which the document begins that it belongs to; a record is a line of its own.
            $table->unsignedInteger('head')->default(0);
            // By which a document of the file is the same as another.
            $table->string('mark')->nullable();
            $table->dropIndex(['import_id', 'outcome', 'line']);
            $table->dropIndex(['import_id', 'done', 'line']);
            // With all that counts and pages are made of.
            $table->index(['import_id', 'outcome', 'line', 'head']);
            $table->index(['import_id', 'done', 'line', 'head']);
            $table->index(['import_id', 'head']);
            $table->index(['import_id', 'mark']);
        });
        DB::table('import_lines')->update(['head' => DB::raw('line')]);
        // Of those that wait, nothing was kept but the file.
        DB::table('imports')->where('of', 'documents')->whereIn('state', ['checking', 'checked', 'columns'])
            ->update(['state' => 'failed', 'failure' => 'Hand this file in again: documents are read line by line now.']);
        Schema::table('imports', fn (Blueprint $table) => $table->dropColumn(['found', 'problems', 'problem_count']));
    }
};
