<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The firm's own fields, and what records hold in them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('detail_sheets', function (Blueprint $table): void {
            $table->id();
            $table->string('name')->unique();
            $table->string('party_kind', 10)->nullable();
            $table->foreignId('type_id')->nullable()->index()->constrained('list_items');
            $table->unsignedInteger('rank');
            $table->boolean('is_retired')->default(false);
            $table->timestamps();
        });

        Schema::create('detail_fields', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sheet_id')->index()->constrained('detail_sheets');
            $table->string('name');
            $table->string('kind', 20);
            $table->json('options');
            $table->string('help')->default('');
            $table->string('required_for', 20)->nullable();
            $table->unsignedInteger('rank');
            $table->boolean('is_retired')->default(false);
            $table->timestamps();
        });

        Schema::create('detail_values', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('subject_id')->constrained();
            $table->foreignId('field_id')->constrained('detail_fields');
            // Encrypted where the field is secret.
            $table->text('value');
            $table->timestamps();
            $table->unique(['subject_id', 'field_id']);
        });
        // A number as a number, whatever else as it is: a day, a text.
        DB::statement('ALTER TABLE detail_values ADD COLUMN sort NUMERIC');
        DB::statement('CREATE INDEX detail_values_sorted ON detail_values (field_id, sort)');
    }
};
