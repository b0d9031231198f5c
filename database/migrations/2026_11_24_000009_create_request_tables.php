<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was answered to a write, so that the same write, sent again, is not done again; and long work behind the screen. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('idempotency_keys', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('user_id');
            $table->string('key');
            $table->string('request');
            $table->unsignedSmallInteger('status');
            $table->string('type');
            $table->text('body');
            $table->unsignedBigInteger('at')->index();
            $table->unique(['user_id', 'key']);
        });

        // Its progress and its result; kept for a day.
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained();
            $table->string('kind', 10);
            // Whose statement it is.
            $table->foreignId('party_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->string('title');
            $table->json('input');
            $table->string('state', 10);
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('total')->default(0);
            $table->string('failure')->default('');
            $table->string('path')->nullable();
            $table->timestamps();
            $table->index(['user_id', 'id']);
        });
    }
};
