<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('tax_rates', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('percent', 12);
            $table->string('side', 10);
            $table->date('since')->nullable();
            $table->date('until')->nullable();
            $table->boolean('is_retired')->default(false);
            $table->timestamps();
        });

        Schema::create('ledger_accounts', function (Blueprint $table): void {
            $table->id();
            $table->string('code', 20)->unique();
            $table->string('name');
            $table->string('kind', 10);
            $table->boolean('is_retired')->default(false);
            $table->timestamps();
        });

        Schema::create('cost_centres', function (Blueprint $table): void {
            $table->id();
            $table->string('group', 60);
            $table->string('name');
            $table->boolean('is_retired')->default(false);
            $table->timestamps();
            $table->unique(['group', 'name']);
        });

        Schema::create('currency_rates', function (Blueprint $table): void {
            $table->id();
            $table->char('currency', 3);
            $table->date('day');
            $table->string('rate', 24);
            $table->timestamps();
            $table->unique(['currency', 'day']);
        });

        Schema::create('holidays', function (Blueprint $table): void {
            $table->date('day')->primary();
            $table->string('name');
        });

        Schema::table('offices', function (Blueprint $table): void {
            $table->string('ageing_by', 20)->default('due date');
            $table->unsignedInteger('warn_after')->default(30);
            $table->string('late_rate', 12)->default('');
            $table->boolean('late_per_month')->default(false);
            $table->boolean('keeps_us_holidays')->nullable();
        });
    }
};
