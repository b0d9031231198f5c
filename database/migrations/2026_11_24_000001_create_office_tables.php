<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The office itself, who works there, its own words, and what it keeps its books by. */
return new class extends Migration
{
    private const USUAL = [
        'types' => ['adviser', 'authority', 'contractor', 'doctor', 'insurer', 'landlord', 'subcontractor'],
        'duties' => ['accounts payable', 'billing', 'orders', 'site', 'signatory', 'technical'],
        'sources' => ['recommended', 'came by', 'advertisement', 'trade fair', 'web'],
        'industries' => ['construction', 'education', 'finance', 'health', 'insurance', 'manufacturing', 'public', 'retail', 'transport'],
        'legal-forms' => [
            'corporation',
            'limited liability company',
            'partnership',
            'sole proprietor',
            'nonprofit',
            'trust',
            'estate',
            'public body',
        ],
        'phone-labels' => ['office', 'mobile', 'direct', 'switchboard', 'home', 'fax'],
        'email-labels' => ['office', 'personal', 'accounts', 'orders'],
        'website-labels' => ['main', 'shop', 'portal'],
        'handle-labels' => ['private', 'work'],
        'code-systems' => ['our number with them', 'their number with us'],
    ];

    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('role', 20);
            $table->string('password');
            $table->rememberToken();
            $table->timestamp('retired_at')->nullable();
            $table->char('calendar_hash', 64)->nullable()->unique();
            $table->timestamps();
        });

        Schema::create('offices', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->char('country', 2);
            $table->text('lines')->default('');
            $table->string('locality')->default('');
            $table->string('region')->default('');
            $table->string('postcode')->default('');
            $table->string('phone')->default('');
            $table->string('email')->default('');
            // How it writes dates and numbers, where its clock stands; null as in its country.
            $table->boolean('month_first')->nullable();
            $table->boolean('decimal_comma')->nullable();
            $table->string('time_zone')->default('');
            $table->boolean('keeps_us_holidays')->nullable();
            $table->string('ageing_by', 20)->default('due-date');
            $table->unsignedInteger('warn_after')->default(30);
            $table->string('late_rate', 12)->default('');
            $table->boolean('late_per_month')->default(false);
            $table->text('how_to_pay')->nullable();
            $table->string('logo_path')->nullable();
            // The last day that has been begun.
            $table->date('began_on')->nullable();
            $table->timestamps();
        });

        Schema::create('list_items', function (Blueprint $table): void {
            $table->id();
            $table->string('list', 20);
            $table->string('name');
            $table->string('inverse')->default('');
            $table->boolean('is_retired')->default(false);
            $table->timestamps();
            $table->unique(['list', 'name']);
        });
        foreach (self::USUAL as $list => $names) {
            DB::table('list_items')->insert(array_map(fn (string $name) => ['list' => $list, 'name' => $name], $names));
        }

        Schema::create('payment_terms', function (Blueprint $table): void {
            $table->id();
            $table->string('name')->unique();
            $table->string('shorthand');
            $table->boolean('is_client_default')->default(false);
            $table->boolean('is_vendor_default')->default(false);
            $table->boolean('is_retired')->default(false);
            $table->timestamps();
        });

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
        DB::statement("CREATE UNIQUE INDEX tax_rates_one_from_a_day ON tax_rates (name, side, ifnull(since, '')) WHERE NOT is_retired");

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
            $table->date('quoted_on');
            $table->string('rate', 24);
            $table->timestamps();
            $table->unique(['currency', 'quoted_on']);
        });

        Schema::create('holidays', function (Blueprint $table): void {
            $table->date('kept_on')->primary();
            $table->string('name');
        });
    }
};
