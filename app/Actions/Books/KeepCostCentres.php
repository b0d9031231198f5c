<?php

declare(strict_types=1);

namespace App\Actions\Books;

use Almanac\Records\WordingRefused;
use App\Actions\Office\ListedNames;
use App\Models\CostCentre;
use App\Validation\FieldProblems;
use Illuminate\Validation\ValidationException;

/** Keeps the cost centres. One that is used is retired, never deleted. */
final readonly class KeepCostCentres
{
    /**
     * @param array{group: string, name: string, isRetired: bool} $input
     *
     * @throws ValidationException
     */
    public function save(CostCentre $centre, array $input): void
    {
        $problems = new FieldProblems;
        $group = $problems->at('group', fn () => ListedNames::tidy($input['group']));
        $name = $problems->at('name', fn () => ListedNames::tidy($input['name']));
        if (CostCentre::query()->where('group', $group)->where('name', $name)->whereKeyNot($centre->id ?? 0)->exists()) {
            $problems->add('name', WordingRefused::taken((string) $name)->getMessage());
        }
        $problems->throwIfAny();
        $centre->fill(['group' => $group, 'name' => $name, 'is_retired' => $input['isRetired']])->save();
    }
}
