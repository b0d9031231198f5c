<?php

declare(strict_types=1);

use Almanac\LookAlikes\PlaceForm;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What is the same for one address, however it is written: by that different people share it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('addresses', function (Blueprint $table): void {
            $table->string('form')->default('')->index();
        });
        DB::table('addresses')->orderBy('id')->select('id', 'lines', 'locality', 'postcode')->chunkById(1000, function ($addresses): void {
            foreach ($addresses as $address) {
                DB::table('addresses')->where('id', $address->id)
                    ->update(['form' => PlaceForm::of($address->lines, $address->locality, $address->postcode)->form()]);
            }
        });
    }
};
