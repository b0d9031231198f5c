<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Meetings, and who comes to them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('meetings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('subject_id')->constrained();
            // The quote that it is about.
            $table->foreignId('document_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->string('title');
            $table->date('held_on');
            $table->string('time', 5);
            $table->unsignedSmallInteger('minutes');
            $table->string('place')->default('');
            $table->text('agenda')->default('');
            // What came of it.
            $table->text('outcome')->default('');
            $table->string('state', 10)->default('planned');
            // How often those who were invited have been told something else since.
            $table->unsignedInteger('sequence')->default(0);
            $table->boolean('is_invited')->default(false);
            $table->unsignedInteger('version')->default(0);
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
            $table->index(['subject_id', 'held_on']);
        });
        Schema::create('meeting_parties', function (Blueprint $table): void {
            $table->foreignId('meeting_id')->constrained()->cascadeOnDelete();
            $table->foreignId('party_id')->index()->constrained();
            $table->primary(['meeting_id', 'party_id']);
        });
        Schema::create('meeting_users', function (Blueprint $table): void {
            $table->foreignId('meeting_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained();
            $table->primary(['meeting_id', 'user_id']);
        });
    }
};
