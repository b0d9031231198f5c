<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Names\Pronouns;
use Almanac\Names\TakenApart;
use OpenApi\Attributes as OA;

/** A person's name taken apart, for correction. */
#[OA\Schema(schema: 'PersonName')]
final readonly class PersonNameData
{
    /** @param  list<string>  $doubtful */
    private function __construct(
        #[OA\Property] public string $prefix,
        #[OA\Property] public string $given,
        #[OA\Property] public string $middle,
        #[OA\Property] public string $family,
        #[OA\Property] public string $suffix,
        #[OA\Property] public string $postNominals,
        #[OA\Property(description: 'By what stands before the name; empty where that tells nothing.')] public string $suggestedPronouns,
        #[
            OA\Property(
                description: 'Parts that somebody should look at.',
                items: new OA\Items(type: 'string', enum: ['given', 'middle', 'family']),
            ),
        ]
        public array $doubtful,
    ) {
    }

    public static function of(TakenApart $taken): self
    {
        $name = $taken->name;

        return new self(
            $name->prefix,
            $name->given,
            $name->middle,
            $name->family,
            $name->suffix,
            $name->postNominals,
            Pronouns::suggestedBy($name->prefix) ?? '',
            $taken->doubtful,
        );
    }
}
