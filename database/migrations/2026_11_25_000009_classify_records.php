<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const SEE_PRIVATE = 'see private values';

    public function up(): void
    {
        Schema::table('parties', function (Blueprint $table): void {
            $table->text('birth_date')->nullable();
            $table->string('payee_name')->default('');
            $table->string('legal_form')->default('');
            $table->string('registration_number')->default('');
            $table->string('industry')->default('');

            $table->foreignId('owner_id')->nullable()->index()->constrained('users');
            $table->foreignId('account_manager_id')->nullable()->constrained('users');
            $table->foreignId('buyer_id')->nullable()->constrained('users');
            $table->string('source')->default('');
            $table->string('language', 8)->default('');
            $table->unsignedTinyInteger('grade')->nullable();
        });

        Schema::create('party_codes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->string('system');
            $table->string('value');
            $table->unsignedInteger('rank');
            $table->timestamps();
        });

        $this->letOthersSeePrivateValues();
    }

    /** In an office that was opened before there were private values. */
    private function letOthersSeePrivateValues(): void
    {
        $roles = DB::table('roles')->whereIn('name', ['administrator', 'approver', 'clerk'])->pluck('id');
        if ($roles->isEmpty()) {
            return;
        }
        $permission = DB::table('permissions')->insertGetId(['name' => self::SEE_PRIVATE, 'guard_name' => 'web', 'created_at' => now(), 'updated_at' => now()]);
        foreach ($roles as $role) {
            DB::table('role_has_permissions')->insert(['permission_id' => $permission, 'role_id' => $role]);
        }
    }
};
