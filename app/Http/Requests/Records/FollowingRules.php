<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Actions\Records\Following;

/** The shape of which documents take over what is saved with the same request. */
final class FollowingRules
{
    public const RULES = [
        'follow' => ['sometimes', 'nullable', 'array:documentIds,withTerms'],
        'follow.documentIds' => ['present_with:follow', 'array', 'list', 'max:5000'],
        'follow.documentIds.*' => ['integer:strict'],
        'follow.withTerms' => ['required_with:follow', 'boolean:strict'],
    ];

    public static function read(mixed $input): ?Following
    {
        /** @var array{documentIds: list<int>, withTerms: bool}|null $input */
        return $input === null ? null : new Following($input['documentIds'], $input['withTerms']);
    }
}
