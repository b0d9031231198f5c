<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Documents and money. */
return new class extends Migration
{
    private const OURS = "('quote', 'order', 'invoice', 'credit-note', 'purchase-order', 'opening-receivable', 'opening-payable')";

    private const IS_OPEN = "open_minor > 0 AND state IN ('issued', 'part-paid')";

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
            $table->unsignedInteger('problem_count')->default(0);
            $table->string('failure')->default('');
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
        });

        $this->createDocuments();
        $this->createPayments();

        // The last number of a kind of document in a year.
        Schema::create('series', function (Blueprint $table): void {
            $table->string('kind', 20);
            $table->unsignedSmallInteger('year');
            $table->unsignedInteger('last');
            $table->primary(['kind', 'year']);
        });

        Schema::create('messages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->constrained();
            $table->foreignId('document_id')->nullable()->index()->constrained();
            $table->string('to');
            $table->string('subject');
            $table->string('path');
            $table->foreignId('user_id')->constrained();
            $table->timestamp('at');
            $table->index(['party_id', 'at']);
        });
    }

    private function createDocuments(): void
    {
        Schema::create('documents', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->constrained();
            $table->string('kind', 20);
            $table->string('state', 10);
            $table->string('number', 60)->nullable();
            $table->unsignedSmallInteger('revision')->default(1);
            $table->date('dated_on');
            $table->date('due_on')->nullable();
            // The day of the first part that is still open.
            $table->date('next_due_on')->nullable();
            $table->boolean('is_in_parts')->default(false);
            $table->date('valid_until')->nullable();
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
            $table->foreignId('replaces_id')->nullable()->index()->constrained('documents');
            $table->foreignId('import_id')->nullable()->index()->constrained();
            // The details of the party that it was written with.
            $table->json('copy');
            $table->timestamp('sent_at')->nullable();
            $table->unsignedInteger('version')->default(0);
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
            $table->index(['party_id', 'dated_on']);
            $table->index(['dated_on', 'id']);
            // The number first: by the kind alone nobody is found, and statistics of a few rows would say otherwise.
            $table->index(['number', 'kind']);
        });
        DB::statement('CREATE UNIQUE INDEX documents_our_number ON documents (kind, number, revision)'
            .' WHERE number IS NOT NULL AND kind IN '.self::OURS);
        DB::statement('CREATE UNIQUE INDEX documents_their_number ON documents (party_id, kind, number)'
            ." WHERE number IS NOT NULL AND state <> 'void' AND kind IN ('bill', 'credit-received')");
        DB::statement('CREATE UNIQUE INDEX documents_one_opening ON documents (party_id, kind)'
            ." WHERE state <> 'void' AND kind IN ('opening-receivable', 'opening-payable')");
        // What is open is little beside what was, and asked for most: its pages and sums are read from the index alone.
        DB::statement('CREATE INDEX documents_open ON documents (party_id, next_due_on) WHERE '.self::IS_OPEN);
        DB::statement('CREATE INDEX documents_open_due ON documents (next_due_on, id, kind, currency, total_minor, net_minor,'
            .' open_minor, party_id, state) WHERE '.self::IS_OPEN);
        // Few are due on several days.
        DB::statement('CREATE INDEX documents_in_parts ON documents (is_in_parts, id) WHERE is_in_parts = 1 AND '.self::IS_OPEN);
        // One index over all states would be taken for the way to those of a party, where no statistics say otherwise.
        foreach (['draft', 'void'] as $rare) {
            DB::statement("CREATE INDEX documents_$rare ON documents (dated_on, id) WHERE state = '$rare'");
        }

        Schema::create('document_dues', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('document_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('rank');
            $table->date('due_on');
            $table->bigInteger('amount_minor');
            $table->bigInteger('open_minor');
            $table->unique(['document_id', 'rank']);
        });

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
            $table->foreignId('source_line_id')->nullable()->constrained('document_lines')->nullOnDelete();
        });
        foreach (['tax_rate_id', 'account_id', 'source_line_id'] as $column) {
            DB::statement("CREATE INDEX document_lines_$column ON document_lines ($column) WHERE $column IS NOT NULL");
        }

        Schema::create('document_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('document_id')->index()->constrained()->cascadeOnDelete();
            $table->string('text', 500);
            $table->foreignId('user_id')->constrained();
            $table->timestamp('at');
        });
    }

    private function createPayments(): void
    {
        Schema::create('payments', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->constrained();
            $table->string('side', 10);
            $table->date('paid_on');
            $table->char('currency', 3);
            $table->bigInteger('amount_minor');
            $table->bigInteger('unallocated_minor');
            $table->string('pay_by', 20);
            $table->string('reference')->default('');
            // As the vendor was given it when it was paid.
            $table->string('account_number', 60)->default('');
            $table->foreignId('bank_detail_id')->nullable()->index()->constrained();
            $table->boolean('is_void')->default(false);
            $table->string('void_reason')->default('');
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
            $table->index(['party_id', 'paid_on']);
            $table->index(['paid_on', 'id']);
        });

        // What of a payment or a credit, or of what is let go, settles which document.
        Schema::create('allocations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('document_id')->index()->constrained();
            $table->string('kind', 10);
            $table->foreignId('payment_id')->nullable()->index()->constrained();
            $table->foreignId('credit_id')->nullable()->index()->constrained('documents');
            $table->bigInteger('amount_minor');
            $table->date('allocated_on');
            $table->string('reason')->default('');
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
        });
    }
};
