<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** When we bill them and when we pay them, and to which accounts. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['client_terms', 'vendor_terms'] as $side) {
            Schema::create($side, function (Blueprint $table) use ($side): void {
                $table->id();
                // The row without a party is what the office has by default.
                $table->foreignId('party_id')->nullable()->unique()->constrained();
                $table->foreignId('payment_terms_id')->nullable()->index()->constrained('payment_terms');
                $table->string('shorthand')->nullable();
                $table->string('tax_treatment', 10)->nullable();
                $table->foreignId('tax_rate_id')->nullable()->index()->constrained();
                $table->json('account_ids')->nullable();
                $table->json('cost_centre_ids')->nullable();
                $table->string('discount', 12)->nullable();
                $table->char('currency', 3)->nullable();
                $table->string('delivery', 12)->nullable();
                $table->string('send_to')->nullable();
                $table->string('reference')->nullable();
                $table->bigInteger('limit_minor')->nullable();
                if ($side === 'client_terms') {
                    $table->string('credit_policy', 10)->nullable();
                } else {
                    $table->string('account_number', 60)->nullable();
                    $table->string('pay_by', 20)->nullable();
                }
                $table->timestamps();
            });
            DB::table($side)->insert(['tax_treatment' => 'exclusive']);
        }

        Schema::create('bank_details', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->string('kind', 20);
            $table->string('holder')->default('');
            $table->string('bank_name')->default('');
            // Encrypted; what is shown are the last signs.
            $table->text('value');
            $table->string('masked', 60);
            $table->char('fingerprint', 64)->index();
            $table->string('state', 12)->index();
            $table->foreignId('replaces_id')->nullable()->index()->constrained('bank_details');
            $table->foreignId('user_id')->constrained();
            // Who confirmed, refused or ended them, and who asked for the end.
            $table->foreignId('decided_by_id')->nullable()->constrained('users');
            $table->timestamp('decided_at')->nullable();
            $table->foreignId('end_user_id')->nullable()->constrained('users');
            $table->string('how', 20)->nullable();
            $table->string('remark')->default('');
            $table->timestamps();
        });
        DB::statement("CREATE UNIQUE INDEX bank_details_one_in_force ON bank_details (party_id, kind) WHERE state = 'confirmed'");

        Schema::create('cards', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->string('brand', 20);
            $table->char('last_four', 4);
            $table->char('expires', 7);
            $table->string('holder')->default('');
            $table->string('postcode', 20)->default('');
            $table->string('token', 60);
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
        });

        // The stand-in for a vault of cards: it knows a card again, and holds no number.
        Schema::create('vault_tokens', function (Blueprint $table): void {
            $table->char('fingerprint', 64)->primary();
            $table->string('token', 60)->unique();
        });
    }
};
