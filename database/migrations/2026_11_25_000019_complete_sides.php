<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        foreach (['client_terms', 'vendor_terms'] as $side) {
            Schema::table($side, function (Blueprint $table): void {
                // The row without a party is what the office has by default.
                $table->unsignedBigInteger('party_id')->nullable()->change();
                $table->string('tax_treatment', 10)->nullable();
                $table->foreignId('tax_rate_id')->nullable()->constrained();
                $table->json('account_ids')->nullable();
                $table->json('cost_centre_ids')->nullable();
                $table->string('discount', 12)->nullable();
                $table->char('currency', 3)->nullable();
                $table->string('delivery', 12)->nullable();
                $table->string('send_to')->nullable();
                $table->string('reference')->nullable();
                $table->bigInteger('limit_minor')->nullable();
            });
            DB::table($side)->insert(['tax_treatment' => 'exclusive']);
        }
        Schema::table('client_terms', fn (Blueprint $table) => $table->string('credit_policy', 10)->nullable());
        Schema::table('vendor_terms', function (Blueprint $table): void {
            $table->string('account_number', 60)->nullable();
            $table->string('pay_by', 20)->nullable();
        });
    }
};
