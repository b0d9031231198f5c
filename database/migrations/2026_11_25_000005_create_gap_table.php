<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // How many gaps a record has, kept with every change of it and made anew by `almanac index`.
        Schema::create('record_gaps', function (Blueprint $table): void {
            $table->foreignId('party_id')->primary()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('gaps')->index();
        });
    }
};
