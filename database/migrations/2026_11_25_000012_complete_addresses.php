<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('address_uses', function (Blueprint $table): void {
            $table->string('attention')->default('');
            $table->string('care_of')->default('');
        });
        Schema::table('relations', function (Blueprint $table): void {
            $table->string('together', 20)->default('each alone');
        });
    }
};
