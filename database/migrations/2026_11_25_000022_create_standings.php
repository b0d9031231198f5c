<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What everybody owes and is owed, by side and currency; written by the core, and made anew when its day has come.
        Schema::create('standings', function (Blueprint $table): void {
            $table->foreignId('party_id')->constrained()->cascadeOnDelete();
            $table->string('side', 10);
            $table->char('currency', 3);
            $table->bigInteger('open_minor');
            $table->bigInteger('credits_minor');
            $table->bigInteger('unallocated_minor');
            $table->bigInteger('overdue_minor');
            $table->date('oldest_due')->nullable();
            $table->string('days_to_pay', 12)->nullable();
            $table->date('stale_on')->nullable()->index();
            $table->primary(['party_id', 'side', 'currency']);
        });

        // The same in one line a record and in the currency of the office, for lists.
        Schema::create('balances', function (Blueprint $table): void {
            $table->foreignId('party_id')->primary()->constrained()->cascadeOnDelete();
            $table->bigInteger('receivable')->index();
            $table->bigInteger('payable')->index();
            $table->bigInteger('overdue')->index();
            $table->float('days_to_pay')->nullable()->index();
            $table->boolean('is_over_limit')->default(false)->index();
        });

        Schema::table('parties', function (Blueprint $table): void {
            $table->date('form_on')->nullable();
            $table->string('form_by')->default('');
            $table->foreignId('form_file_id')->nullable()->constrained('files')->nullOnDelete();
            $table->string('report_choice', 12)->default('by the rule');
            $table->boolean('is_attorney')->default(false);
        });
    }
};
