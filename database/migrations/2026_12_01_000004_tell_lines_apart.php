<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A line that was taken before, from whatever file, is known again; and numbers that lines have go to nobody else. */
return new class extends Migration
{
    public function up(): void
    {
        // A fingerprint of what stood on it in the file: it tells nothing without the key.
        Schema::table('import_lines', fn (Blueprint $table) => $table->char('fingerprint', 64)->nullable());
        // Those that are for its lines, and for nobody else who comes in with it.
        Schema::table('imports', fn (Blueprint $table) => $table->unsignedInteger('highest_number')->default(0));
        DB::statement('create index import_lines_fingerprint on import_lines (fingerprint) where fingerprint is not null');
    }
};
