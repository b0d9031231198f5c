<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Files of people and companies: their lines, what each comes to, and what their headings were said to be. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('imports', function (Blueprint $table): void {
            // What is in it: documents, or people and companies.
            $table->string('of', 12)->default('documents');
            // Encrypted: a few cells of each column are among them.
            $table->text('settings')->default('{}');
            $table->unsignedInteger('lines')->default(0);
            // The last entry of the log when it came to its end: what is told after it has changed since.
            $table->unsignedInteger('last_change_id')->nullable();
        });

        Schema::create('import_lines', function (Blueprint $table): void {
            $table->foreignId('import_id')->constrained()->cascadeOnDelete();
            // In the file.
            $table->unsignedInteger('line');
            // Encrypted: tax numbers and bank details may be among them.
            $table->text('cells');
            $table->string('outcome', 10);
            // Whom it is about; not a key, since records come and go while a file waits.
            $table->unsignedInteger('record_id')->nullable();
            $table->json('candidates')->default('[]');
            $table->json('problems')->default('[]');
            $table->string('decision', 10)->nullable();
            $table->string('existing', 10)->nullable();
            $table->string('done', 10)->nullable();
            $table->string('message')->default('');
            $table->json('way_back')->nullable();
            $table->primary(['import_id', 'line']);
            $table->index(['import_id', 'outcome', 'line']);
            $table->index(['import_id', 'done', 'line']);
        });

        Schema::create('import_matchings', function (Blueprint $table): void {
            $table->char('headings', 64)->primary();
            $table->json('targets');
            $table->timestamp('used_at');
        });
    }
};
