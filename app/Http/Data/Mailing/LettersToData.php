<?php

declare(strict_types=1);

namespace App\Http\Data\Mailing;

use Almanac\Mailing\Addressee;
use Almanac\Mailing\Envelope;
use Almanac\Mailing\Mailing;
use OpenApi\Attributes as OA;

/** Whom letters would go to. */
#[OA\Schema(schema: 'LettersTo')]
final readonly class LettersToData
{
    private const SHOWN = 200;

    /**
     * @param list<EnvelopeData> $envelopes
     * @param list<LeftOutData> $leftOut
     */
    private function __construct(
        #[OA\Property(description: 'How many letters there would be.')]
        public int $letters,
        #[OA\Property(description: 'The first of them.', items: new OA\Items(ref: '#/components/schemas/Envelope'))]
        public array $envelopes,
        #[OA\Property(
            description: 'The first of those who cannot or must not be written to.',
            items: new OA\Items(ref: '#/components/schemas/LeftOut'),
        )]
        public array $leftOut,
        #[OA\Property(description: 'All of them.')]
        public int $leftOutCount,
    ) {
    }

    public static function of(Mailing $mailing): self
    {
        return new self(
            count($mailing->envelopes),
            array_map(fn (Envelope $one) => EnvelopeData::of($one), array_slice($mailing->envelopes, 0, self::SHOWN)),
            array_map(
                fn (Addressee $one) => new LeftOutData($one->id, $one->name, $one->why),
                array_slice($mailing->leftOut, 0, self::SHOWN),
            ),
            count($mailing->leftOut),
        );
    }
}
