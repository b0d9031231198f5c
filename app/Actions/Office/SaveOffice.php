<?php

declare(strict_types=1);

namespace App\Actions\Office;

use Almanac\CardDav\DavAddress;
use App\Models\Office;
use App\Validation\FieldProblems;
use Illuminate\Support\Once;
use Illuminate\Validation\ValidationException;

/** Saves the name, the address and the formats of the office. */
final class SaveOffice
{
    /**
     * @param array{
     *     name: string, country: string, lines: string, locality: string, region: string, postcode: string,
     *     monthFirst: bool, decimalComma: bool|null, timeZone: string, phone: string, email: string, howToPay: string, clerksMakeOne?: bool,
     *     cardPlaces?: string|null,
     * } $input
     *
     * @throws ValidationException when the address cannot be
     */
    public function handle(array $input): Office
    {
        $office = Office::current();
        $office->fill([
            'name' => trim($input['name']),
            'country' => $input['country'],
            'month_first' => $input['monthFirst'],
            'decimal_comma' => $input['decimalComma'],
            'time_zone' => $input['timeZone'],
            'phone' => trim($input['phone']),
            'email' => trim($input['email']),
            'clerks_make_one' => $input['clerksMakeOne'] ?? $office->clerks_make_one,
            'how_to_pay' => trim(str_replace("\r", '', $input['howToPay'])),
        ]);
        $hasAddress = trim($input['lines'].$input['locality'].$input['postcode']) !== '';
        $problems = new FieldProblems;
        $places = $problems->at('cardPlaces', fn () => DavAddress::places($input['cardPlaces'] ?? $office->card_places));
        $postal = $hasAddress ? $problems->postal($input) : null;
        $problems->throwIfAny();
        $office->fill([
            'card_places' => implode("\n", $places ?? []),
            'lines' => implode("\n", $postal->lines ?? []),
            'locality' => $postal->locality ?? '',
            'region' => $postal->region ?? '',
            'postcode' => $postal->postcode ?? '',
        ])->save();
        // What was read of the office before is no longer so.
        Once::flush();

        return $office;
    }
}
