<?php

declare(strict_types=1);

namespace App\Queries\Lists;

use Almanac\Addresses\CountryNames;
use Almanac\Addresses\Regions;
use Almanac\Finding\Fold;
use Almanac\Lists\Box;
use Almanac\Lists\Condition;
use Almanac\Lists\Operator;
use Almanac\Lists\Point;
use Almanac\Lists\SentenceWriter;
use Almanac\Lists\Value;
use App\Facts\Finding\RecordLine;
use App\Facts\Lists\PartyFields;
use App\Facts\Lists\PartyList;
use App\Facts\Lists\Wanted;
use App\Http\Data\Lists\DotData;
use App\Http\Data\Lists\ListFilterData;
use App\Http\Data\Lists\PlacesData;
use App\Models\User;
use App\Queries\Finding\ReadLines;
use App\Time\Clock;
use Illuminate\Database\Query\Builder;
use Symfony\Component\Intl\Countries;

/**
 * Gathers the records of a list by where they are: those whose ZIP code is known by nearness, the others by their state or
 * country, and those without an address in one sum.
 */
final readonly class GatherPlaces
{
    private const MOST = 500;

    /** Degrees around the outermost of a dot, so that rounding leaves none of them out. */
    private const EDGE = 0.0001;

    public function __construct(private Clock $clock, private ReadLines $lines)
    {
    }

    /**
     * @param float $cell degrees, within which records make one dot
     * @param Box|null $inside null for the whole earth
     */
    public function handle(Wanted $wanted, float $cell, ?Box $inside, User $reader): PlacesData
    {
        $list = new PartyList($this->clock, $wanted, $reader);
        $dots = $this->dots($list, $cell, $inside);
        $lacks = Condition::of(PartyFields::of('country')->field, Operator::Lacks);

        return new PlacesData(
            array_map(fn (array $one) => $this->dot(...$one), $this->named(array_slice($dots, 0, self::MOST))),
            $this->areas($list),
            $list->rows()->whereNull('v.country')->whereNull('v.latitude')->count(),
            SentenceWriter::part($list->words, $lacks),
            count($dots) > self::MOST,
            ListFilterData::of($list->reading, $list->words),
        );
    }

    /** @return list<\stdClass> */
    private function dots(PartyList $list, float $cell, ?Box $inside): array
    {
        return array_values($list->rows()
            ->when($inside !== null, function (Builder $rows) use ($list, $inside): void {
                $asked = $list->asking(Condition::of(
                    PartyFields::of('distance')->field,
                    Operator::Inside,
                    Value::box($inside ?? throw new \LogicException),
                ));
                $rows->whereRaw($asked->sql, $asked->bindings);
            })
            ->whereNotNull('v.latitude')
            // The column would be taken for a number of the record otherwise.
            ->groupByRaw("cast((v.latitude + 90) / $cell as int), cast((v.longitude + 180) / $cell as int)")
            ->selectRaw(
                'count(*) as many, min(v.party_id) as one, avg(v.latitude) as latitude, avg(v.longitude) as longitude,'
                .' min(v.latitude) as south, max(v.latitude) as north, min(v.longitude) as west, max(v.longitude) as east',
            )
            ->orderByRaw('many desc, one')->limit(self::MOST + 1)->get()->all());
    }

    /**
     * @param list<\stdClass> $rows
     *
     * @return list<array{\stdClass, RecordLine|null}> each with one of its records
     */
    private function named(array $rows): array
    {
        $lines = $this->lines->handle(array_map(fn (\stdClass $row) => (int) $row->one, $rows));

        return array_map(fn (\stdClass $row) => [$row, $lines[(int) $row->one] ?? null], $rows);
    }

    private function dot(\stdClass $row, ?RecordLine $line): DotData
    {
        $box = Box::of(
            Point::of((float) $row->south - self::EDGE, (float) $row->west - self::EDGE),
            Point::of((float) $row->north + self::EDGE, (float) $row->east + self::EDGE),
        );

        return new DotData(
            (float) $row->latitude,
            (float) $row->longitude,
            $line->row->place ?? '',
            Countries::getNumericCode('US'),
            (int) $row->many,
            (int) $row->one,
            $line->row->displayName ?? '',
            'inside '.$box->toText(),
        );
    }

    /** @return list<DotData> */
    private function areas(PartyList $list): array
    {
        $rows = array_values($list->rows()->whereNull('v.latitude')->whereNotNull('v.country')
            // Of the United States by their states, which the atlas has.
            ->groupByRaw("v.country, iif(v.country = 'united states', v.region, null)")
            ->selectRaw(
                "v.country as country, iif(v.country = 'united states', v.region, null) as region, count(*) as many, min(v.party_id) as one",
            )
            ->orderByDesc('many')->limit(self::MOST)->get()->all());
        $countries = array_flip(array_map(Fold::text(...), Countries::getNames('en')));

        return array_map(function (array $one) use ($list, $countries): DotData {
            [$row, $line] = $one;
            $code = $countries[$row->country] ?? '';
            $country = $code === '' ? (string) $row->country : CountryNames::of($code);
            $region = is_string($row->region) ? mb_strtoupper($row->region) : '';
            $conditions = [
                Condition::of(PartyFields::of('country')->field, Operator::Is, Value::choice($country)),
                ...$region === '' ? [] : [Condition::of(PartyFields::of('region')->field, Operator::Is, Value::choice($region))],
                Condition::of(PartyFields::of('distance')->field, Operator::Lacks),
            ];

            return new DotData(
                null,
                null,
                Regions::US[$region] ?? $country,
                $code === '' ? '' : Countries::getNumericCode($code),
                (int) $row->many,
                (int) $row->one,
                $line->row->displayName ?? '',
                implode(', ', array_map(fn (Condition $condition) => SentenceWriter::part($list->words, $condition), $conditions)),
            );
        }, $this->named($rows));
    }
}
