<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Records that look alike: what was found, what was decided, and what the office's own book says of each sign. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('look_alike_pairs', function (Blueprint $table): void {
            $table->id();
            // The older record first.
            $table->foreignId('first_id')->constrained('parties')->cascadeOnDelete();
            $table->foreignId('second_id')->index()->constrained('parties')->cascadeOnDelete();
            $table->string('verdict', 10);
            $table->double('score');
            // What it rests on, with weights: [sign, bits].
            $table->json('signs');
            // Why it may be the same, a bit each, to count and to ask by.
            $table->unsignedInteger('reasons');
            $table->string('state', 10)->default('open');
            // The least of the pairs that are settled together.
            $table->unsignedBigInteger('group_id')->nullable();
            // Who added the second all the same; null where the program found them.
            $table->foreignId('added_by_id')->nullable()->index()->constrained('users');
            $table->foreignId('decided_by_id')->nullable()->index()->constrained('users');
            $table->timestamp('decided_at')->nullable();
            $table->string('why')->default('');
            $table->timestamps();
            $table->unique(['first_id', 'second_id']);
            $table->index(['state', 'decided_at']);
        });
        DB::statement("CREATE INDEX look_alike_pairs_open ON look_alike_pairs (group_id) WHERE state IN ('open', 'later')");

        // Records that have changed in what is compared, and wait for it.
        Schema::create('look_alike_due', function (Blueprint $table): void {
            $table->foreignId('party_id')->primary()->constrained()->cascadeOnDelete();
        });

        // A phone or an email that different people rightly share, with a name of its own.
        Schema::create('shared_lines', function (Blueprint $table): void {
            $table->id();
            $table->string('kind', 10);
            // As a contact point has it.
            $table->string('value')->unique();
            $table->string('name');
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
        });

        // What each sign says in this office, by kind of record: m and u, as the last scan has estimated them.
        Schema::create('look_alike_weights', function (Blueprint $table): void {
            $table->string('kind', 10)->primary();
            $table->unsignedInteger('records');
            $table->json('rates');
        });
        // How many records of it have a value; what stands there once is left out.
        Schema::create('look_alike_counts', function (Blueprint $table): void {
            $table->string('value')->primary();
            $table->unsignedInteger('records');
            $table->unsignedBigInteger('scan_id');
        });
        Schema::create('look_alike_scans', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->nullable()->constrained();
            $table->string('state', 10);
            // Of a hundred.
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('records')->default(0);
            $table->unsignedBigInteger('compared')->default(0);
            $table->unsignedInteger('found')->default(0);
            $table->string('failure')->default('');
            $table->timestamp('ended_at')->nullable();
            $table->timestamps();
        });
    }
};
