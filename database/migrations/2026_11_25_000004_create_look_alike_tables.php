<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('look_alike_keys', function (Blueprint $table): void {
            $table->foreignId('party_id')->constrained()->cascadeOnDelete();
            $table->string('key');
            $table->primary(['key', 'party_id']);
            $table->index('party_id');
        });

        // Pairs that somebody has seen: added all the same, or settled as two different records.
        Schema::create('look_alike_pairs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('first_id')->constrained('parties')->cascadeOnDelete();
            $table->foreignId('second_id')->constrained('parties')->cascadeOnDelete();
            $table->boolean('is_different')->default(false);
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
            $table->unique(['first_id', 'second_id']);
        });
    }
};
