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
            $table->date('archived_on')->nullable();
            $table->string('archive_reason')->default('');
            // The directory: what is in use, as it is filed.
            $table->index(['archived_on', 'sort_key', 'id']);
        });
    }
};
