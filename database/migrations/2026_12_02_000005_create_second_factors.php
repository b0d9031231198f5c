<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A second factor beside the password, the devices on which it is not asked for each time, and the sessions of users. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('second_factors', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->unique()->constrained()->cascadeOnDelete();
            // Encrypted.
            $table->text('secret');
            // Null until a code has shown that the app has the secret.
            $table->timestamp('confirmed_at')->nullable();
            $table->bigInteger('used_step')->nullable();
        });
        Schema::create('recovery_codes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('hash', 64);
            $table->timestamp('used_at')->nullable();
            $table->unique(['user_id', 'hash']);
        });
        Schema::create('known_devices', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('hash', 64)->unique();
            $table->timestamp('ends_at');
        });
        Schema::create('user_sessions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('device', 100);
            $table->string('address', 45);
            $table->timestamp('began_at');
            $table->timestamp('used_at')->index();
        });
        Schema::table('offices', function (Blueprint $table): void {
            // Roles that sign in with a second factor, as JSON.
            $table->text('second_factor_roles')->default('[]');
        });
    }
};
