<?php

declare(strict_types=1);

namespace App\Facts\LookAlikes;

use Almanac\Addresses\Formatter;
use Almanac\LookAlikes\LineKind;
use Almanac\Reach\ContactKind;
use App\Models\AddressUse;
use App\Models\ContactPoint;
use App\Models\Party;
use Illuminate\Database\Eloquent\Builder;

/** A phone, an email or an address as one record has it; others may have the same. */
final readonly class SharedThing
{
    private function __construct(public LineKind $kind, public string $value, public string $text, public Party $party)
    {
    }

    /**
     * @param list<string> $values
     * @param string $home the country of the office: ISO 3166-1 alpha-2
     *
     * @return array<string, non-empty-list<self>> by value, in the order in which they are kept
     */
    public static function of(array $values, string $home): array
    {
        $things = [];
        foreach (self::points()->with('party')->whereIn('value', $values)->orderBy('party_id')->get() as $point) {
            $things[$point->value][] = new self(LineKind::from($point->kind->value), $point->value, $point->display($home), $point->party);
        }
        foreach (self::uses($values)->with('party', 'address')->orderBy('party_id')->get() as $use) {
            $things[$use->address->form][] = new self(
                LineKind::Address,
                $use->address->form,
                implode(', ', Formatter::onScreen($use->address->postal(), $home)),
                $use->party,
            );
        }

        return $things;
    }

    /**
     * @param list<int> $ids
     *
     * @return list<string> what several of these records have
     */
    public static function amongAny(array $ids): array
    {
        $points = self::points()->whereIntegerInRaw('party_id', $ids)->groupBy('value')->havingRaw('count(distinct party_id) > 1')
            ->orderBy('value')->pluck('value');
        $places = AddressUse::query()
            ->join('addresses', 'addresses.id', 'address_id')->whereIntegerInRaw('party_id', $ids)
            ->whereRaw("form <> ''")
            ->groupBy('form')->havingRaw('count(distinct party_id) > 1')->orderBy('form')->toBase()->pluck('form');

        return array_values([...$points->map(strval(...))->all(), ...$places->map(strval(...))->all()]);
    }

    /** @return list<int> the records that have it, by their numbers */
    public static function holders(string $value): array
    {
        $ids = [...self::points()->where('value', $value)->pluck('party_id')->all(), ...self::uses([$value])->pluck('party_id')->all()];
        $ids = array_values(array_unique(array_map(intval(...), $ids)));
        sort($ids);

        return $ids;
    }

    /** @return Builder<ContactPoint> */
    private static function points(): Builder
    {
        return ContactPoint::query()->whereIn('kind', [ContactKind::Phone, ContactKind::Email]);
    }

    /**
     * @param list<string> $values
     *
     * @return Builder<AddressUse>
     */
    private static function uses(array $values): Builder
    {
        return AddressUse::query()->whereHas('address', fn (Builder $address) => $address->whereIn('form', array_filter($values)));
    }
}
