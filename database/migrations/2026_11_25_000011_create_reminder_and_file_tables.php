<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('files', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->string('name');
            $table->string('kind', 20);
            $table->char('sha256', 64)->index();
            $table->unsignedInteger('size');
            $table->string('media_type', 100);
            $table->date('expires_on')->nullable()->index();
            $table->boolean('is_private')->default(false);
            $table->foreignId('user_id')->constrained();
            $table->timestamp('added_at');
        });

        Schema::create('reminders', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->foreignId('user_id')->constrained();
            $table->foreignId('by_id')->constrained('users');
            $table->foreignId('file_id')->nullable()->constrained()->nullOnDelete();
            $table->string('text');
            $table->date('first_day');
            $table->date('day');
            $table->char('time', 5);
            $table->string('rule')->default('');
            $table->timestamp('done_at')->nullable();
            $table->timestamps();
            $table->index(['user_id', 'done_at', 'day']);
        });

        Schema::table('users', function (Blueprint $table): void {
            $table->char('calendar_hash', 64)->nullable()->unique();
        });
        Schema::table('changes', fn (Blueprint $table) => $table->index(['user_id', 'id']));
    }
};
