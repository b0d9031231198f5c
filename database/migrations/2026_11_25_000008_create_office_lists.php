<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The office's own words: what a record may be, what people do, what a phone is called. */
return new class extends Migration
{
    private const USUAL = [
        'types' => ['adviser', 'authority', 'contractor', 'doctor', 'insurer', 'landlord', 'subcontractor'],
        'duties' => ['accounts payable', 'billing', 'orders', 'site', 'signatory', 'technical'],
        'sources' => ['recommended', 'came by', 'advertisement', 'trade fair', 'web'],
        'industries' => ['construction', 'education', 'finance', 'health', 'insurance', 'manufacturing', 'public', 'retail', 'transport'],
        'legal-forms' => ['corporation', 'limited liability company', 'partnership', 'sole proprietor', 'nonprofit', 'trust', 'estate', 'public body'],
        'phone-labels' => ['office', 'mobile', 'direct', 'switchboard', 'home', 'fax'],
        'email-labels' => ['office', 'personal', 'accounts', 'orders'],
        'website-labels' => ['main', 'shop', 'portal'],
        'handle-labels' => ['private', 'work'],
        'code-systems' => ['our number with them', 'their number with us'],
    ];

    public function up(): void
    {
        Schema::create('list_items', function (Blueprint $table): void {
            $table->id();
            $table->string('list', 20);
            $table->string('name');
            $table->string('inverse')->default('');
            $table->boolean('is_retired')->default(false);
            $table->timestamps();
            $table->unique(['list', 'name']);
        });
        foreach (self::USUAL as $list => $names) {
            DB::table('list_items')->insert(array_map(fn (string $name) => ['list' => $list, 'name' => $name], $names));
        }

        Schema::create('party_list_items', function (Blueprint $table): void {
            $table->foreignId('party_id')->constrained();
            $table->foreignId('list_item_id')->index()->constrained();
            $table->primary(['party_id', 'list_item_id']);
        });

        Schema::create('position_duties', function (Blueprint $table): void {
            $table->foreignId('position_id')->constrained()->cascadeOnDelete();
            $table->foreignId('list_item_id')->index()->constrained();
            $table->boolean('is_primary')->default(false);
            $table->primary(['position_id', 'list_item_id']);
        });
        $duties = DB::table('list_items')->where('list', 'duties')->pluck('id', 'name');
        foreach (DB::table('positions')->where('duties', '!=', '[]')->get(['id', 'duties']) as $position) {
            foreach (array_unique((array) json_decode((string) $position->duties, true)) as $duty) {
                DB::table('position_duties')->insert(['position_id' => $position->id, 'list_item_id' => $duties[$duty]]);
            }
        }
        Schema::table('positions', fn (Blueprint $table) => $table->dropColumn('duties'));

        Schema::table('relations', function (Blueprint $table): void {
            $table->foreignId('list_item_id')->nullable()->constrained();
        });
    }
};
