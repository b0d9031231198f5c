<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('bank_accounts', function (Blueprint $table): void {
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
            $table->foreignId('replaces_id')->nullable()->constrained('bank_accounts');
            $table->foreignId('user_id')->constrained();
            $table->foreignId('settled_by_id')->nullable()->constrained('users');
            $table->timestamp('settled_at')->nullable();
            $table->string('how', 40)->default('');
            $table->string('remark')->default('');
            $table->timestamps();
        });

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
