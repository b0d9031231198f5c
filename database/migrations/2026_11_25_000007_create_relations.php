<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Kept once, told from either end: the second party is the first one's spouse, parent, executor …
        Schema::create('relations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('from_id')->index()->constrained('parties');
            $table->foreignId('to_id')->index()->constrained('parties');
            $table->string('kind', 20);
            $table->date('since')->nullable();
            $table->date('until')->nullable();
            $table->timestamps();
        });
    }
};
