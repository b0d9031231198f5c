<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('section_versions', function (Blueprint $table): void {
            $table->foreignId('party_id')->constrained();
            $table->string('section', 20);
            $table->unsignedInteger('version');
            $table->primary(['party_id', 'section']);
        });

        Schema::create('changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->constrained();
            $table->string('section', 20);
            $table->string('label');
            $table->text('from');
            $table->text('to');
            $table->foreignId('user_id')->constrained();
            $table->timestamp('at');
            $table->index(['party_id', 'id']);
        });
    }
};
