<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Fact;
use Almanac\TaxIds\TaxId;
use Almanac\TaxIds\TaxIdKind;
use App\Models\Party;
use App\Models\TaxNumber;
use App\Support\FieldProblems;
use App\Support\SectionName;

/** The numbers by which tax offices and registers know a party; encrypted, and told one at a time. */
final class TaxNumbersSection implements Section
{
    public function name(): SectionName
    {
        return SectionName::TaxNumbers;
    }

    public function snapshot(Party $party): array
    {
        $facts = [];
        foreach ($party->taxNumbers()->get() as $number) {
            $facts['tax:'.$number->id] = new Fact($number->kind->title(), $number->masked, $number->fingerprint);
        }

        return $facts;
    }

    public function neighbours(Party $party): array
    {
        return [];
    }

    public function write(Party $party, array $input): void
    {
        /** @var list<array{id: int|null, kind: string, country: string, value: string|null}> $rows */
        $rows = $input['taxNumbers'];
        $kept = $party->taxNumbers()->get()->keyBy('id');
        $problems = new FieldProblems;
        $numbers = [];
        foreach ($rows as $rank => $row) {
            $number = $kept->get($row['id'] ?? 0) ?? new TaxNumber(['party_id' => $party->id]);
            // Null leaves it as it is: whoever edits does not see it.
            $typed = $row['value'] ?? ($number->exists ? $number->value : '');
            $id = $problems->at("taxNumbers.$rank.value", fn () => TaxId::of(TaxIdKind::from($row['kind']), $row['country'], $typed));
            if ($id !== null) {
                $number->setNumber($id);
                $numbers[] = $number->fill(['rank' => $rank]);
            }
        }
        $problems->throwIfAny();
        $party->taxNumbers()->whereNotIn('id', array_filter(array_column($rows, 'id')))->delete();
        foreach ($numbers as $number) {
            $number->save();
        }
    }
}
