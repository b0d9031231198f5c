<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was answered to a write, so that the same write, sent again, is not done again. */
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
    }
};
