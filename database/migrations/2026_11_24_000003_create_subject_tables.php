<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What belongs to any subject: its sections and their states, its log, cautions and reminders; and who did what in the office. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('section_versions', function (Blueprint $table): void {
            $table->foreignId('subject_id')->constrained();
            $table->string('section', 20);
            $table->unsignedInteger('version');
            $table->primary(['subject_id', 'section']);
        });

        // What a section was after each save of it, in the shape that it is saved in.
        Schema::create('section_states', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('subject_id')->constrained();
            $table->string('section', 20);
            $table->unsignedInteger('version');
            $table->text('state');
            $table->boolean('is_private');
            $table->foreignId('cause_id')->nullable()->index()->constrained('section_states');
            $table->foreignId('user_id')->nullable()->constrained();
            $table->timestamp('at');
            $table->unique(['subject_id', 'section', 'version']);
        });

        Schema::create('log_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('subject_id')->constrained();
            $table->string('kind', 10);
            $table->date('happened_on');
            $table->foreignId('with_party_id')->nullable()->index()->constrained('parties');
            $table->text('text');
            $table->boolean('is_pinned')->default(false);
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
            $table->index(['subject_id', 'happened_on']);
        });

        // An entry stands among the changes at its place, so that both are one stream.
        Schema::create('changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('subject_id')->constrained();
            $table->string('section', 20);
            $table->string('key')->default('');
            $table->string('label');
            $table->text('from');
            $table->text('to');
            $table->foreignId('user_id')->constrained();
            $table->timestamp('at');
            $table->foreignId('log_entry_id')->nullable()->constrained()->nullOnDelete();
            $table->index(['subject_id', 'id']);
            $table->index(['subject_id', 'at']);
            $table->index(['user_id', 'id']);
        });
        // Without the many that belong to no entry: the history of one subject is never looked for among all of those.
        DB::statement('CREATE INDEX changes_log_entry ON changes (log_entry_id) WHERE log_entry_id IS NOT NULL');

        Schema::create('cautions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('subject_id')->index()->constrained();
            $table->string('level', 10);
            $table->string('use', 10);
            $table->string('text', 300);
            $table->date('since')->nullable();
            $table->date('until')->nullable();
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
        });

        Schema::create('reminders', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('subject_id')->index()->constrained();
            $table->foreignId('user_id')->constrained();
            $table->foreignId('by_id')->constrained('users');
            $table->foreignId('file_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->string('text');
            $table->date('first_on');
            $table->date('due_on');
            $table->char('time', 5);
            $table->string('rule')->default('');
            $table->timestamp('done_at')->nullable();
            $table->timestamps();
            $table->index(['user_id', 'done_at', 'due_on']);
        });

        // What was done in the whole office; what it tells of may be gone, so nothing binds it.
        Schema::create('acts', function (Blueprint $table): void {
            $table->id();
            $table->timestamp('at');
            $table->unsignedBigInteger('user_id');
            $table->string('user_name');
            $table->string('what');
            $table->string('subject', 20);
            $table->unsignedBigInteger('subject_id')->nullable();
            $table->string('name');
            $table->json('differences');
            $table->index(['subject', 'subject_id']);
        });
    }
};
