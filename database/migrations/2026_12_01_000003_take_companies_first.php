<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Lines of a file are taken with companies first, and compared only with whom others have changed since they were checked. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('import_lines', function (Blueprint $table): void {
            // Companies come first, whatever line they stand on: people of the others work there.
            $table->unsignedTinyInteger('turn')->default(1);
            $table->index(['import_id', 'turn', 'line']);
        });
        // How far the log was when they were checked.
        Schema::table('imports', fn (Blueprint $table) => $table->unsignedInteger('checked_to')->nullable());
    }
};
