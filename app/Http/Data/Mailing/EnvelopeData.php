<?php

declare(strict_types=1);

namespace App\Http\Data\Mailing;

use Almanac\Mailing\Addressee;
use Almanac\Mailing\Envelope;
use OpenApi\Attributes as OA;

/** Who gets one letter. */
#[OA\Schema(schema: 'Envelope')]
final readonly class EnvelopeData
{
    /** @param  list<int>  $ids */
    private function __construct(
        #[OA\Property(items: new OA\Items(type: 'integer'))]
        public array $ids,
        #[OA\Property]
        public string $names,
    ) {
    }

    public static function of(Envelope $envelope): self
    {
        return new self(
            array_map(fn (Addressee $one) => $one->id, $envelope->to),
            implode(' and ', array_map(fn (Addressee $one) => $one->name, $envelope->to)),
        );
    }
}
