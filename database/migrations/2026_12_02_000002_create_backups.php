<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Backups that were made or failed, and how the nightly ones are kept. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('backups', function (Blueprint $table): void {
            $table->id();
            $table->string('kind', 10);
            // The day of the office that a nightly one is for.
            $table->date('night_on')->nullable();
            $table->string('state', 10);
            $table->string('path')->nullable();
            $table->bigInteger('bytes')->nullable();
            $table->boolean('is_encrypted')->default(false);
            $table->string('failure')->default('');
            $table->timestamp('begun_at');
            $table->timestamp('ended_at')->nullable();
            $table->index(['kind', 'night_on']);
        });
        Schema::table('offices', function (Blueprint $table): void {
            $table->boolean('backs_up_nightly')->default(true);
            $table->unsignedSmallInteger('backups_kept')->default(14);
            // Empty for the folder beside the database.
            $table->string('backup_folder')->default('');
        });
    }
};
