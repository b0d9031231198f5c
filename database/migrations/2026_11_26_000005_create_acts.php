<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who did what, and when, in the whole office; what it tells of may be gone. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('acts', function (Blueprint $table): void {
            $table->id();
            $table->timestamp('at');
            // No constraint: an act outlives whatever it tells of.
            $table->unsignedBigInteger('user_id');
            $table->string('user_name');
            $table->string('what');
            $table->string('subject', 20);
            $table->unsignedBigInteger('subject_id')->nullable();
            $table->string('name');
            $table->json('differences');
            $table->index(['subject', 'subject_id']);
        });
    }
};
