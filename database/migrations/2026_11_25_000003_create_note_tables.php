<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('log_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->string('kind', 10);
            $table->date('day');
            $table->foreignId('with_party_id')->nullable()->index()->constrained('parties');
            $table->text('text');
            $table->boolean('is_pinned')->default(false);
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
        });

        Schema::create('cautions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->string('level', 10);
            $table->string('use', 10);
            $table->string('text', 300);
            $table->date('since')->nullable();
            $table->date('until')->nullable();
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
        });

        // An entry stands in the change log at its place, so that both are one stream.
        Schema::table('changes', function (Blueprint $table): void {
            $table->foreignId('log_entry_id')->nullable()->constrained()->nullOnDelete();
        });
    }
};
