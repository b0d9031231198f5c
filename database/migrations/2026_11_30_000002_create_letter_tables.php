<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('mail_servers', function (Blueprint $table): void {
            $table->id();
            $table->string('host');
            $table->unsignedInteger('port');
            $table->string('security', 10);
            $table->string('user_name')->default('');
            // Encrypted.
            $table->text('password');
            $table->string('sender')->default('');
            $table->unsignedInteger('version')->default(0);
            $table->timestamps();
        });
        Schema::table('offices', function (Blueprint $table): void {
            $table->text('card_places')->default('');
        });
        Schema::table('messages', function (Blueprint $table): void {
            // The case or project that it speaks of; of a private one it is there only for whom that names.
            $table->foreignId('engagement_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->string('state', 10)->default('kept')->index();
            $table->string('failure')->default('');
        });
        Schema::create('letter_templates', function (Blueprint $table): void {
            $table->id();
            $table->string('name')->unique();
            $table->string('subject')->default('');
            $table->text('body');
            $table->unsignedInteger('version')->default(0);
            $table->foreignId('user_id')->index()->constrained();
            $table->timestamps();
        });
        Schema::create('letter_runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->index()->constrained();
            $table->foreignId('engagement_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->string('subject')->default('');
            $table->text('body');
            $table->string('way', 10);
            $table->boolean('is_once_a_household');
            $table->date('dated_on');
            $table->string('state', 10)->index();
            $table->string('failure')->default('');
            $table->string('path')->nullable();
            $table->timestamp('ended_at')->nullable();
            $table->timestamps();
        });
        Schema::create('letters', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('letter_run_id')->constrained()->cascadeOnDelete();
            // Whom it is to; not a key, since records come and go while letters wait.
            $table->unsignedBigInteger('record_id');
            $table->string('name');
            $table->unsignedInteger('rank');
            $table->string('outcome', 10);
            $table->string('why')->default('');
            // What all who get one envelope have alike; null until it is known.
            $table->string('shared_by', 60)->nullable();
            // As it was written; of those who share one with somebody it stands there.
            $table->json('content')->nullable();
            $table->unique(['letter_run_id', 'record_id']);
            $table->index(['letter_run_id', 'outcome', 'rank']);
            $table->index(['letter_run_id', 'shared_by']);
        });
    }
};
