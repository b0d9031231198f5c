<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('documents', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->constrained();
            $table->string('kind', 20);
            $table->string('state', 10);
            $table->string('number', 60)->nullable();
            $table->date('date');
            $table->date('due')->nullable();
            // Of what is due in parts: each with its day; and the day of the first that is still open.
            $table->json('parts')->nullable();
            $table->date('next_due')->nullable();
            $table->string('terms')->default('');
            $table->string('treatment', 10);
            $table->char('currency', 3);
            $table->bigInteger('net_minor');
            $table->bigInteger('tax_minor');
            $table->bigInteger('total_minor');
            $table->bigInteger('open_minor');
            $table->date('settled_on')->nullable();
            $table->string('discount_percent', 12)->nullable();
            $table->date('discount_until')->nullable();
            $table->string('reference')->default('');
            $table->text('note')->default('');
            $table->foreignId('source_id')->nullable()->index()->constrained('documents');
            $table->json('copy');
            $table->timestamp('sent_at')->nullable();
            $table->unsignedInteger('version')->default(0);
            $table->foreignId('user_id')->constrained();
            $table->foreignId('import_id')->nullable()->index();
            $table->timestamps();
            $table->index(['party_id', 'date']);
            $table->index(['date', 'id']);
            $table->index(['kind', 'number']);
        });
        // What is open is little beside what was, and asked for most.
        DB::statement('CREATE INDEX documents_open ON documents (party_id, next_due) WHERE open_minor > 0 AND state IN (\'issued\', \'part-paid\')');
        DB::statement('CREATE INDEX documents_open_due ON documents (next_due, id) WHERE open_minor > 0 AND state IN (\'issued\', \'part-paid\')');

        Schema::create('document_lines', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('document_id')->index()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('rank');
            $table->string('text', 500);
            $table->string('quantity', 30);
            $table->string('price', 30);
            $table->string('discount', 12);
            $table->foreignId('tax_rate_id')->nullable()->constrained();
            $table->string('tax', 12);
            $table->foreignId('account_id')->nullable()->constrained('ledger_accounts');
            $table->json('cost_centre_ids');
            $table->bigInteger('amount_minor');
        });

        Schema::create('payments', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->constrained();
            $table->string('side', 10);
            $table->date('day');
            $table->char('currency', 3);
            $table->bigInteger('amount_minor');
            $table->bigInteger('unallocated_minor');
            $table->string('pay_by', 20);
            $table->string('reference')->default('');
            // As it was told the vendor when it was paid.
            $table->string('account_number', 60)->default('');
            $table->boolean('is_void')->default(false);
            $table->string('void_reason')->default('');
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
            $table->index(['party_id', 'day']);
            $table->index(['day', 'id']);
        });

        Schema::create('settlements', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('document_id')->index()->constrained();
            $table->string('kind', 10);
            $table->foreignId('payment_id')->nullable()->index()->constrained();
            $table->foreignId('credit_id')->nullable()->index()->constrained('documents');
            $table->bigInteger('amount_minor');
            $table->date('day');
            $table->string('reason')->default('');
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
        });

        Schema::create('document_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('document_id')->index()->constrained()->cascadeOnDelete();
            $table->string('text', 500);
            $table->foreignId('user_id')->constrained();
            $table->timestamp('at');
        });

        Schema::create('series', function (Blueprint $table): void {
            $table->string('kind', 20);
            $table->unsignedSmallInteger('year');
            $table->unsignedInteger('last');
            $table->primary(['kind', 'year']);
        });

        Schema::create('messages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->foreignId('document_id')->nullable()->index()->constrained();
            $table->string('to');
            $table->string('subject');
            $table->string('path');
            $table->foreignId('user_id')->constrained();
            $table->timestamp('at');
        });
    }
};
