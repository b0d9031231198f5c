<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('imports', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('path');
            $table->string('state', 12);
            $table->unsignedInteger('found')->default(0);
            $table->unsignedInteger('taken')->default(0);
            $table->json('problems');
            $table->string('failure')->default('');
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
        });
    }
};
