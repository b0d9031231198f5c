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
            // What is chosen besides, as it stands in the address.
            $table->string('choices', 500)->default('');
            $table->json('columns');
            $table->string('sort');
            $table->string('view', 20);
            // How it is counted, where that is kept with it: keys of fields with a comma between them, and the time that is looked at.
            $table->string('counted_by', 200)->default('');
            $table->string('period', 40)->default('');
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

        // One change to many records, and what came of it for each. A record that it deleted is named here still.
        Schema::create('bulk_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->index()->constrained();
            $table->string('kind', 20);
            $table->string('title');
            $table->json('input');
            $table->string('state', 20)->index();
            $table->unsignedInteger('chosen');
            $table->string('failure')->default('');
            $table->timestamp('begun_at')->nullable();
            $table->timestamp('ended_at')->nullable();
            $table->timestamps();
        });
        Schema::create('bulk_change_records', function (Blueprint $table): void {
            $table->foreignId('bulk_change_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('record_id');
            $table->string('name');
            $table->unsignedInteger('rank');
            $table->string('outcome', 12);
            $table->string('message')->default('');
            // What takes it back: the state that was made of a section, or what was there before.
            $table->text('way_back')->nullable();
            $table->primary(['bulk_change_id', 'record_id']);
            $table->index(['bulk_change_id', 'outcome', 'rank']);
        });

        // Work that waits for the worker.
        Schema::create('queued_work', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
    }
};
