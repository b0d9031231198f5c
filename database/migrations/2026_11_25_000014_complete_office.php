<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('offices', function (Blueprint $table): void {
            $table->text('lines')->default('');
            $table->string('locality')->default('');
            $table->string('region')->default('');
            $table->string('postcode')->default('');
            $table->boolean('month_first')->nullable();
        });
    }
};
