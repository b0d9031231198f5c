<?php

declare(strict_types=1);

namespace App\Actions\Office;

use Almanac\Records\WordingRefused;
use Almanac\Terms\Shorthand;
use App\Models\ListedTerms;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Once;
use Illuminate\Validation\ValidationException;

/** Keeps the office's list of payment terms: records that use one follow it, and each side has one that holds by default. */
final class KeepTerms
{
    private const DEFAULTS = ['isClientDefault' => 'is_client_default', 'isVendorDefault' => 'is_vendor_default'];

    /**
     * @param array{name: string, shorthand: string, isClientDefault: bool, isVendorDefault: bool, isRetired: bool} $input
     *
     * @throws ValidationException with each refusal at its field
     */
    public function save(ListedTerms $listed, array $input): void
    {
        DB::transaction(function () use ($listed, $input): void {
            $problems = new FieldProblems;
            $name = $problems->at('name', fn () => ListedNames::tidy($input['name']));
            if (ListedTerms::query()->where('name', $name)->whereKeyNot($listed->id ?? 0)->exists()) {
                $problems->add('name', WordingRefused::taken((string) $name)->getMessage());
            }
            $terms = $problems->at('shorthand', fn () => Shorthand::read($input['shorthand']));
            foreach (self::DEFAULTS as $field => $column) {
                if ($listed->exists && $listed->getAttribute($column) === true && (! $input[$field] || $input['isRetired'])) {
                    $problems->add($input['isRetired'] ? 'isRetired' : $field, 'These are the default. Make others the default first.');
                } elseif ($input[$field] && $input['isRetired']) {
                    $problems->add('isRetired', 'Retired terms cannot be the default.');
                }
            }
            $problems->throwIfAny();
            foreach (self::DEFAULTS as $field => $column) {
                if ($input[$field]) {
                    ListedTerms::query()->whereKeyNot($listed->id ?? 0)->update([$column => false]);
                }
            }
            $listed->fill([
                'name' => $name, 'shorthand' => $terms?->toShorthand(), 'is_client_default' => $input['isClientDefault'],
                'is_vendor_default' => $input['isVendorDefault'], 'is_retired' => $input['isRetired'],
            ])->save();
        });
        // What was read of the defaults before is no longer so.
        Once::flush();
    }
}
