<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Names\PersonName;
use OpenApi\Attributes as OA;

/** A person's name taken apart, for correction. */
#[OA\Schema(schema: 'PersonName')]
final readonly class PersonNameData
{
    private function __construct(
        #[OA\Property]
        public string $prefix,
        #[OA\Property]
        public string $given,
        #[OA\Property]
        public string $middle,
        #[OA\Property]
        public string $family,
        #[OA\Property]
        public string $suffix,
    ) {
    }

    public static function of(PersonName $name): self
    {
        return new self($name->prefix, $name->given, $name->middle, $name->family, $name->suffix);
    }
}
