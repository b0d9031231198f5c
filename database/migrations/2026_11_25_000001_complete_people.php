<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('parties', function (Blueprint $table): void {
            $table->string('pronouns')->default('');
            $table->string('post_nominals')->default('');
            $table->boolean('is_informal')->default(false);
            $table->boolean('is_deceased')->default(false);
            $table->date('deceased_on')->nullable();
        });
    }
};
