<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How people look at lists, and the lists that they keep. */
return new class extends Migration
{
    public function up(): void
    {
        // Which columns somebody has in a list, and how wide.
        Schema::create('list_looks', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('list', 20);
            $table->json('columns');
            $table->primary(['user_id', 'list']);
        });

        Schema::create('saved_lists', function (Blueprint $table): void {
            $table->id();
            $table->string('list', 20);
            $table->foreignId('user_id')->index()->constrained();
            $table->boolean('is_shared');
            $table->string('name');
            $table->text('sentence');
            $table->json('columns');
            $table->string('sort');
            $table->string('view', 20);
            $table->unsignedInteger('version')->default(0);
            $table->timestamps();
            $table->unique(['user_id', 'list', 'name']);
        });

        // Which records somebody had open lately.
        Schema::create('record_uses', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('party_id')->index()->constrained()->cascadeOnDelete();
            $table->timestamp('at');
            // By the office's clock.
            $table->date('used_on');
            $table->primary(['user_id', 'party_id']);
        });
    }
};
