<?php

declare(strict_types=1);

namespace App\Actions\Books;

use Almanac\Money\Percent;
use Almanac\Terms\Side;
use App\Actions\Office\ListedNames;
use App\Models\TaxRate;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Keeps the tax rates, each from a day to a day. One that is used is retired, never deleted. */
final readonly class KeepTaxRates
{
    public function __construct(private TypedDates $dates)
    {
    }

    /**
     * @param array{name: string, percent: string, side: string, since: string, until: string, isRetired: bool} $input
     *
     * @throws ValidationException
     */
    public function save(TaxRate $rate, array $input): void
    {
        $problems = new FieldProblems;
        $name = $problems->at('name', fn () => ListedNames::tidy($input['name']));
        $percent = $problems->at('percent', fn () => (string) Percent::of($input['percent']));
        $period = $this->dates->read($input['since'], $input['until'], '', $problems);
        if (
            $rate->exists &&
            $percent !== null &&
            $percent !== $rate->percent &&
            DB::table('document_lines')->where('tax_rate_id', $rate->id)->exists()
        ) {
            $problems->add(
                'percent',
                'Documents have been written at this rate. Give it an end date, and add the new rate from the next day.',
            );
        }
        $same = TaxRate::query()
            ->where('name', $name)
            ->where('side', $input['side'])
            ->whereKeyNot($rate->id ?? 0)
            ->get();
        if (
            $period !== null &&
            ! $input['isRetired'] &&
            $same->contains(fn (TaxRate $other) => ! $other->is_retired && $other->period()->overlaps($period))
        ) {
            $problems->add('since', "Another “{$name}” applies at that time. End it the day before.");
        }
        $problems->throwIfAny();
        $rate
            ->fill([
                'name' => $name,
                'percent' => $percent,
                'side' => Side::from($input['side']),
                'since' => $period?->since,
                'until' => $period?->until,
                'is_retired' => $input['isRetired'],
            ])
            ->save();
    }
}
