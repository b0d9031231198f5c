<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The versions of the program that have used this database. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('upgrades', function (Blueprint $table): void {
            $table->string('version', 20)->primary();
            $table->timestamp('at');
            // When projections were rebuilt after it; null while that is still to be done.
            $table->timestamp('rebuilt_at')->nullable();
        });
    }
};
