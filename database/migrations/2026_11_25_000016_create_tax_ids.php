<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('tax_ids', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->string('kind', 30);
            $table->char('country', 2)->default('');
            $table->text('value');
            $table->string('masked', 20);
            // For finding the same number without reading it.
            $table->char('fingerprint', 64)->index();
            $table->unsignedInteger('rank');
            $table->timestamps();
        });
    }
};
