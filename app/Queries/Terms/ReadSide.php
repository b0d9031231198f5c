<?php

declare(strict_types=1);

namespace App\Queries\Terms;

use Almanac\Calendar\Day;
use Almanac\Terms\Shorthand;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;
use App\Facts\Terms\SideDefaults;
use App\Facts\Terms\SideFieldValues;
use App\Http\Data\Records\SideFieldData;
use App\Http\Data\Records\SideTermsData;
use App\Models\Party;

/** Reads how a party is billed, or paid: what is its own, what it inherits, and from whom. */
final readonly class ReadSide
{
    public function __construct(private PreviewTerms $preview)
    {
    }

    public function handle(Party $party, Side $side, int $version, Day $today): SideTermsData
    {
        $defaults = SideDefaults::of($party, $side, $today);
        $terms = $defaults->terms();
        [$inForce, $name] = $terms->value ?? ['', ''];

        return new SideTermsData(
            $version,
            $defaults->own?->payment_terms_id,
            $defaults->own?->shorthand,
            match (true) {
                $terms->value === null => 'none',
                ! $terms->isInherited() => 'own',
                $terms->from === SideDefaults::OFFICE => 'office',
                default => 'parent',
            },
            $terms->from,
            $name,
            $inForce,
            $inForce === '' ? null : $this->preview->of(Shorthand::read($inForce), $today),
            array_map(fn (SideField $field) => $this->field($defaults, $field), SideField::of($side)),
        );
    }

    private function field(SideDefaults $defaults, SideField $field): SideFieldData
    {
        $currency = $defaults->currency();
        $held = $defaults->get($field);
        $own = $held->isInherited() ? null : $held->value;

        return new SideFieldData(
            $field->value,
            $field->title($defaults->side),
            $own === null ? null : SideFieldValues::typed($field, $own, $currency),
            SideFieldValues::typed($field, $held->isInherited() ? $held->value : $defaults->inherited($field)->value, $currency),
            SideFieldValues::text($field, $held->value, $currency),
            $held->from,
        );
    }
}
