<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How the office writes numbers, where its clock stands, and what its papers say of how to pay it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('offices', function (Blueprint $table): void {
            $table->boolean('decimal_comma')->nullable();
            $table->string('time_zone')->default('');
            $table->string('phone')->default('');
            $table->string('email')->default('');
            $table->text('how_to_pay')->nullable();
            $table->string('logo_path')->nullable();
            $table->string('logo_type')->nullable();
            // The last day that has been begun.
            $table->date('began_on')->nullable();
        });
    }
};
