<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** People and companies: their names, how they are reached, where they are, and who is what to whom. */
return new class extends Migration
{
    public function up(): void
    {
        // What sections, versions, states, the log, notes, files, reminders and cautions belong to.
        Schema::create('subjects', function (Blueprint $table): void {
            $table->id();
            $table->string('kind', 20);
        });

        Schema::create('files', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('subject_id')->index()->constrained();
            $table->string('name');
            $table->string('kind', 20);
            $table->char('sha256', 64)->index();
            $table->unsignedInteger('size');
            $table->string('media_type', 100);
            $table->date('expires_on')->nullable()->index();
            $table->boolean('is_private')->default(false);
            $table->foreignId('user_id')->constrained();
            $table->timestamp('added_at');
        });

        Schema::create('parties', function (Blueprint $table): void {
            $table->foreignId('id')->primary()->constrained('subjects');
            $table->string('kind', 10);
            $table->unsignedInteger('number')->unique();

            $table->string('prefix')->default('');
            $table->string('given')->default('');
            $table->string('middle')->default('');
            $table->string('family')->default('');
            $table->string('suffix')->default('');
            $table->string('post_nominals')->default('');
            $table->string('preferred')->default('');
            $table->string('pronouns')->default('');
            $table->boolean('is_informal')->default(false);
            // Encrypted.
            $table->text('born_on')->nullable();
            $table->boolean('is_deceased')->default(false);
            $table->date('deceased_on')->nullable();

            $table->string('company_name')->default('');
            $table->string('legal_name')->default('');
            $table->string('legal_form')->default('');
            $table->string('registration_number')->default('');
            $table->string('industry')->default('');
            $table->string('payee_name')->default('');

            // Made from the names above, for lists and sorting.
            $table->string('display_name');
            $table->string('file_as');
            $table->string('sort_key')->index();

            $table->boolean('is_client')->default(false);
            $table->boolean('is_vendor')->default(false);
            $table->foreignId('owner_id')->nullable()->index()->constrained('users');
            $table->foreignId('account_manager_id')->nullable()->index()->constrained('users');
            $table->foreignId('buyer_id')->nullable()->index()->constrained('users');
            $table->string('source')->default('');
            $table->string('language', 8)->default('');
            $table->date('no_letters_on')->nullable();
            $table->string('no_letters_how')->default('');
            $table->unsignedTinyInteger('grade')->nullable();

            // The form W-9, and whether what they are paid is reported.
            $table->date('form_on')->nullable();
            $table->string('form_by')->default('');
            $table->foreignId('form_file_id')->nullable()->index()->constrained('files')->nullOnDelete();
            $table->string('report_choice', 12)->default('by-rule');
            $table->boolean('is_attorney')->default(false);

            $table->date('archived_on')->nullable();
            $table->string('archive_reason')->default('');
            $table->timestamps();
            $table->index(['archived_on', 'sort_key', 'id']);
        });

        Schema::create('addresses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('owner_id')->index()->constrained('parties');
            $table->char('country', 2);
            $table->text('lines');
            $table->string('locality')->default('');
            $table->string('region')->default('');
            $table->string('postcode')->default('');
            $table->timestamps();
        });
        // Found by the beginning of its street, in whatever case it is typed.
        DB::statement('CREATE INDEX addresses_lines_index ON addresses (lines COLLATE NOCASE)');
        // Proposed while somebody types a sentence.
        foreach (['region', 'locality', 'postcode'] as $part) {
            DB::statement("CREATE INDEX addresses_{$part}_index ON addresses ($part COLLATE NOCASE) WHERE $part <> ''");
        }

        Schema::create('address_uses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->foreignId('address_id')->index()->constrained();
            $table->json('uses');
            $table->date('since')->nullable();
            $table->date('until')->nullable();
            $table->boolean('is_primary');
            $table->unsignedInteger('rank');
            $table->string('attention')->default('');
            $table->string('care_of')->default('');
            $table->timestamps();
        });

        Schema::create('contact_points', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->string('kind', 10);
            $table->string('typed');
            $table->string('value')->index();
            $table->string('extension')->default('');
            $table->string('label')->default('');
            $table->json('uses');
            $table->boolean('is_primary');
            $table->boolean('is_unusual');
            $table->unsignedInteger('rank');
            $table->foreignId('same_as_id')->nullable()->index()->constrained('contact_points')->nullOnDelete();
            $table->foreignId('address_use_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->timestamps();
        });
        DB::statement('CREATE INDEX contact_points_linked ON contact_points (same_as_id, party_id) WHERE same_as_id IS NOT NULL');

        Schema::create('positions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->index()->constrained('parties');
            $table->foreignId('company_id')->index()->constrained('parties');
            $table->string('title')->default('');
            $table->string('department')->default('');
            $table->boolean('is_primary');
            $table->date('since')->nullable();
            $table->date('until')->nullable();
            $table->timestamps();
        });
        Schema::create('position_duties', function (Blueprint $table): void {
            $table->foreignId('position_id')->constrained()->cascadeOnDelete();
            $table->foreignId('list_item_id')->index()->constrained();
            $table->boolean('is_primary')->default(false);
            $table->primary(['position_id', 'list_item_id']);
        });

        // Kept once, told from either end: the second party is the first one's spouse, parent, executor …
        Schema::create('relations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('from_id')->index()->constrained('parties');
            $table->foreignId('to_id')->index()->constrained('parties');
            $table->string('kind', 20);
            $table->foreignId('list_item_id')->nullable()->index()->constrained();
            $table->string('together', 20)->default('alone');
            $table->date('since')->nullable();
            $table->date('until')->nullable();
            $table->timestamps();
        });

        Schema::create('party_list_items', function (Blueprint $table): void {
            $table->foreignId('party_id')->constrained();
            $table->foreignId('list_item_id')->index()->constrained();
            $table->primary(['party_id', 'list_item_id']);
        });

        Schema::create('party_codes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->string('system');
            $table->string('value');
            $table->unsignedInteger('rank');
            $table->timestamps();
        });

        Schema::create('tax_numbers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->string('kind', 30);
            $table->char('country', 2)->default('');
            // Encrypted; the fingerprint finds the same number without reading it.
            $table->text('value');
            $table->string('masked', 20);
            $table->char('fingerprint', 64)->index();
            $table->unsignedInteger('rank');
            $table->timestamps();
        });
    }
};
