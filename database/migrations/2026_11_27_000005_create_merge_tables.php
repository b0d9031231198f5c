<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Records that were made one: what was decided, what each of them was, and how they are taken apart again. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('merges', function (Blueprint $table): void {
            $table->id();
            $table->string('state', 10)->index();
            // The record that stays. Whether it is still there is not sure: what was done is told all the same.
            $table->unsignedBigInteger('kept_id')->index();
            $table->unsignedBigInteger('kept_number');
            $table->string('kept_name');
            $table->json('decisions');
            $table->string('why')->default('');
            $table->foreignId('proposed_by_id')->nullable()->constrained('users');
            $table->timestamp('proposed_at')->nullable();
            $table->foreignId('user_id')->nullable()->constrained();
            $table->timestamp('done_at')->nullable();
            $table->foreignId('apart_by_id')->nullable()->constrained('users');
            $table->timestamp('apart_at')->nullable();
            // What was struck, in words.
            $table->json('struck');
            // The versions of its sections right after, by section.
            $table->json('versions');
            // The last row of each table: what has a higher number came since.
            $table->json('marks');
            // The state by which the change is known in the log of the sections.
            $table->unsignedBigInteger('cause_id')->nullable()->index();
            $table->timestamps();
        });

        // The records that it is about, the one that stays among them.
        Schema::create('merge_sides', function (Blueprint $table): void {
            $table->foreignId('merge_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('party_id')->index();
            $table->unsignedBigInteger('number');
            $table->string('name');
            $table->primary(['merge_id', 'party_id']);
        });

        // What each section of each of them said before.
        Schema::create('merge_sections', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('merge_id')->index()->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('party_id');
            $table->string('section');
            $table->boolean('is_private');
            $table->json('state');
        });

        // Every row that was made, changed or taken away: what it was before, and right after.
        Schema::create('merge_rows', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('merge_id')->index()->constrained()->cascadeOnDelete();
            $table->string('table');
            // The values of its primary key.
            $table->json('key');
            $table->json('before')->nullable();
            $table->json('after')->nullable();
        });

        // Rows that only came to another record, by their numbers.
        Schema::create('merge_moves', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('merge_id')->index()->constrained()->cascadeOnDelete();
            $table->string('table');
            $table->string('column');
            $table->unsignedBigInteger('from_id')->index();
            $table->json('ids');
        });

        // Where a record is found that was made one with another.
        Schema::create('former_records', function (Blueprint $table): void {
            $table->foreignId('party_id')->primary()->constrained('subjects');
            $table->unsignedBigInteger('number')->unique();
            $table->string('name');
            // What the other was called until then: by that it is found, too.
            $table->string('kept_was');
            $table->foreignId('kept_id')->index()->constrained('parties');
            $table->foreignId('merge_id')->index()->constrained();
        });

        // Who is changing a record at this moment; who has said nothing for a while is not.
        Schema::create('record_edits', function (Blueprint $table): void {
            $table->foreignId('party_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained();
            $table->timestamp('at');
            $table->primary(['party_id', 'user_id']);
        });

        Schema::table('offices', function (Blueprint $table): void {
            $table->boolean('clerks_make_one')->default(false);
        });
    }
};
