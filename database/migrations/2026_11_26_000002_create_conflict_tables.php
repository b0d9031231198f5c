<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Conflict searches, kept as they were: what was asked, what the book held then, what was found, and what was decided. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('conflict_searches', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('engagement_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->timestamp('at');
            $table->unsignedInteger('parties');
            $table->unsignedInteger('engagements');
            // Made by itself, because somebody was added or related; only what was new is in it.
            $table->boolean('is_repeated')->default(false);
        });
        Schema::create('conflict_names', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('search_id')->index()->constrained('conflict_searches')->cascadeOnDelete();
            $table->unsignedInteger('rank');
            $table->string('name');
            $table->string('role');
            $table->string('degree', 10);
        });
        // Whom and what they name is said in words, and stays when that is gone.
        Schema::create('conflict_findings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('name_id')->index()->constrained('conflict_names')->cascadeOnDelete();
            $table->unsignedInteger('rank');
            $table->string('degree', 10);
            $table->text('sentence');
            // For who may not open the case or project that it tells of.
            $table->text('hidden_sentence');
            $table->unsignedInteger('party_number')->nullable();
            $table->string('engagement_number', 30)->nullable();
            $table->string('decision', 20)->nullable();
            $table->string('reason')->default('');
            $table->date('decided_on')->nullable();
            $table->foreignId('decided_by_id')->nullable()->constrained('users');
            $table->unsignedInteger('version')->default(0);
        });
    }
};
