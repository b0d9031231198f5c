<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('parties', function (Blueprint $table): void {
            $table->id();
            $table->string('kind', 10);
            $table->unsignedInteger('number')->unique();

            $table->string('prefix')->default('');
            $table->string('given')->default('');
            $table->string('middle')->default('');
            $table->string('family')->default('');
            $table->string('suffix')->default('');
            $table->string('preferred')->default('');

            $table->string('company_name')->default('');
            $table->string('legal_name')->default('');

            // Made from the names above, for lists and sorting.
            $table->string('display_name');
            $table->string('file_as');
            $table->string('sort_key')->index();

            $table->boolean('is_client')->default(false);
            $table->boolean('is_vendor')->default(false);
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
            $table->timestamps();
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

        Schema::create('address_uses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('party_id')->index()->constrained();
            $table->foreignId('address_id')->index()->constrained();
            $table->json('uses');
            $table->date('since')->nullable();
            $table->date('until')->nullable();
            $table->boolean('is_primary');
            $table->unsignedInteger('rank');
            $table->timestamps();
        });

        Schema::create('positions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->index()->constrained('parties');
            $table->foreignId('company_id')->index()->constrained('parties');
            $table->string('title')->default('');
            $table->string('department')->default('');
            $table->json('duties');
            $table->boolean('is_primary');
            $table->date('since')->nullable();
            $table->date('until')->nullable();
            $table->timestamps();
        });

        foreach (['client_terms', 'vendor_terms'] as $side) {
            Schema::create($side, function (Blueprint $table): void {
                $table->id();
                $table->foreignId('party_id')->unique()->constrained();
                $table->foreignId('payment_terms_id')->nullable()->constrained('payment_terms');
                $table->string('shorthand')->nullable();
                $table->timestamps();
            });
        }
    }
};
