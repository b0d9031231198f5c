<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Cases and projects: their kinds in the firm's own words, who is in them as what, and what was done for them. */
return new class extends Migration
{
    public function up(): void
    {
        $this->kinds();
        $this->engagements();
        // Added by hand: the schema builder would copy the table and lose its triggers and partial indexes.
        foreach (['documents', 'payments'] as $table) {
            DB::statement("ALTER TABLE $table ADD COLUMN engagement_id INTEGER REFERENCES engagements (id)");
            DB::statement("CREATE INDEX {$table}_engagement ON $table (engagement_id) WHERE engagement_id IS NOT NULL");
        }
        DB::statement('ALTER TABLE detail_sheets ADD COLUMN engagement_kind_id INTEGER REFERENCES engagement_kinds (id)');
        DB::statement('CREATE INDEX detail_sheets_engagement_kind ON detail_sheets (engagement_kind_id)');
    }

    private function kinds(): void
    {
        Schema::create('engagement_kinds', function (Blueprint $table): void {
            $table->id();
            $table->string('name')->unique();
            $table->string('plural');
            // What its numbers begin with.
            $table->string('sign', 8);
            $table->unsignedInteger('rank');
            $table->boolean('is_retired')->default(false);
            $table->timestamps();
        });
        Schema::create('engagement_stages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('kind_id')->index()->constrained('engagement_kinds');
            $table->string('name');
            $table->string('meaning', 10);
            $table->unsignedSmallInteger('most_days')->nullable();
            $table->unsignedInteger('rank');
            $table->boolean('is_retired')->default(false);
        });
        Schema::create('engagement_roles', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('kind_id')->index()->constrained('engagement_kinds');
            $table->string('name');
            $table->unsignedSmallInteger('least');
            $table->unsignedSmallInteger('most')->nullable();
            // Whoever it is done for.
            $table->boolean('is_client')->default(false);
            $table->unsignedInteger('rank');
            $table->boolean('is_retired')->default(false);
        });
        // Roles that stand against each other.
        Schema::create('engagement_oppositions', function (Blueprint $table): void {
            $table->foreignId('role_id')->constrained('engagement_roles')->cascadeOnDelete();
            $table->foreignId('other_id')->index()->constrained('engagement_roles')->cascadeOnDelete();
            $table->primary(['role_id', 'other_id']);
        });
    }

    private function engagements(): void
    {
        Schema::create('engagements', function (Blueprint $table): void {
            $table->foreignId('id')->primary()->constrained('subjects');
            $table->foreignId('kind_id')->constrained('engagement_kinds');
            $table->string('number', 30)->unique();
            $table->string('title');
            $table->foreignId('owner_id')->nullable()->index()->constrained('users');
            $table->boolean('is_private')->default(false);
            $table->char('currency', 3);
            // The fee or the budget, as agreed.
            $table->bigInteger('agreed_minor')->nullable();
            // Of an enquiry: what it may be worth, how likely that is in per cent, and when it is decided.
            $table->bigInteger('value_minor')->nullable();
            $table->string('chance', 10)->nullable();
            $table->date('decided_on')->nullable();
            // Payment terms in shorthand; empty for those of whoever is billed.
            $table->string('terms')->default('');
            $table->bigInteger('weighed_minor')->nullable();
            // Where it is: by link while somebody has that address, and as it was typed or linked last.
            $table->foreignId('site_id')->nullable()->index()->constrained('addresses')->nullOnDelete();
            $table->char('site_country', 2)->default('');
            $table->text('site_lines')->default('');
            $table->string('site_locality')->default('');
            $table->string('site_region')->default('');
            $table->string('site_postcode')->default('');
            $table->string('site_note')->default('');
            $table->date('archived_on')->nullable();
            $table->string('archive_reason')->default('');
            $table->foreignId('user_id')->constrained();
            $table->timestamps();

            // As its moves and its parties have it, for lists and for search.
            $table->foreignId('stage_id')->index()->constrained('engagement_stages');
            $table->date('moved_on');
            $table->boolean('is_closed')->default(false);
            $table->date('begun_on');
            $table->index(['kind_id', 'stage_id']);
        });
        // By what they are found: number, title, parties with their roles, place, details.
        DB::statement(
            "CREATE VIRTUAL TABLE engagement_words USING fts5(words, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3')",
        );
        // What is going on, in the orders in which it is asked for; the last has all that the band of stages adds up.
        foreach (
            [
                'begun' => 'begun_on, number, id',
                'moved' => 'moved_on',
                'decided' => 'decided_on',
                // With what the list is narrowed by, so that the band is counted from the index alone.
                'band' => 'stage_id, currency, agreed_minor, weighed_minor, owner_id, kind_id',
            ] as $name => $columns
        ) {
            DB::statement("CREATE INDEX engagements_$name ON engagements ($columns) WHERE is_closed = 0 AND archived_on IS NULL");
        }
        // The few that not everybody may see.
        DB::statement('CREATE INDEX engagements_private ON engagements (id) WHERE is_private = 1');
        Schema::create('engagement_moves', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('engagement_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('stage_id')->index()->constrained('engagement_stages');
            $table->date('moved_on');
            $table->string('reason')->default('');
            $table->foreignId('user_id')->constrained();
            $table->timestamp('at');
        });
        Schema::create('engagement_parties', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('engagement_id')->constrained()->cascadeOnDelete();
            $table->foreignId('party_id')->index()->constrained();
            $table->foreignId('role_id')->index()->constrained('engagement_roles');
            // The company through which a person acts, and the person who is asked at a company.
            $table->foreignId('via_id')->nullable()->index()->constrained('parties');
            $table->foreignId('contact_id')->nullable()->index()->constrained('parties');
            $table->date('since')->nullable();
            $table->date('until')->nullable();
            // Of what is billed, in per cent; null for whoever does not pay.
            $table->string('share', 20)->nullable();
            $table->boolean('is_mailed')->default(false);
            $table->string('note')->default('');
            $table->unsignedInteger('rank');
            // Whether somebody is in a role is asked of thousands.
            $table->index(['engagement_id', 'role_id']);
        });
        Schema::create('engagement_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('from_id')->constrained('engagements')->cascadeOnDelete();
            $table->foreignId('to_id')->index()->constrained('engagements')->cascadeOnDelete();
            $table->string('kind', 20);
            $table->unique(['from_id', 'to_id', 'kind']);
        });
        // Who may see a private one.
        Schema::create('engagement_users', function (Blueprint $table): void {
            $table->foreignId('engagement_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained();
            $table->primary(['engagement_id', 'user_id']);
        });
    }
};
