<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('password');
            $table->rememberToken();
            $table->timestamps();
        });

        Schema::create('offices', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->char('country', 2);
            $table->timestamps();
        });

        Schema::create('payment_terms', function (Blueprint $table): void {
            $table->id();
            $table->string('name')->unique();
            $table->string('shorthand');
            $table->boolean('is_client_default')->default(false);
            $table->boolean('is_vendor_default')->default(false);
            $table->timestamps();
        });
    }
};
