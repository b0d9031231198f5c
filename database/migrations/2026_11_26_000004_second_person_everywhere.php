<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Ending bank details waits for a second person too; a payment knows to which account it went. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('bank_accounts', function (Blueprint $table): void {
            $table->foreignId('end_user_id')->nullable()->constrained('users');
        });
        Schema::table('payments', function (Blueprint $table): void {
            $table->foreignId('bank_detail_id')->nullable()->constrained('bank_accounts');
        });
        DB::statement("CREATE UNIQUE INDEX bank_accounts_one_in_force ON bank_accounts (party_id, kind) WHERE state = 'confirmed'");
    }
};
