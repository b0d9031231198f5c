<?php

declare(strict_types=1);

namespace App\Http\Data\Mailing;

use Almanac\Mailing\Addressee;
use Almanac\Mailing\Envelope;
use Almanac\Mailing\LabelSheet;
use Almanac\Mailing\Mailing;
use OpenApi\Attributes as OA;

/** What labels or envelopes of a list would be. */
#[OA\Schema(schema: 'Mailing')]
final readonly class MailingData
{
    private const EXAMPLES = 3;

    private const SHOWN = 200;

    /**
     * @param list<list<string>> $examples
     * @param list<LeftOutData> $leftOut
     * @param list<LabelSheetData> $sheetsToChoose
     */
    private function __construct(
        #[OA\Property(description: 'The key of the sheet.')]
        public string $sheet,
        #[OA\Property(description: 'How many are printed, copies included.')]
        public int $labels,
        #[OA\Property(description: 'How many sheets, or envelopes, that takes.')]
        public int $sheets,
        #[OA\Property(description: 'How the first few read.', items: new OA\Items(type: 'array', items: new OA\Items(type: 'string')))]
        public array $examples,
        #[OA\Property(
            description: 'The first of those who cannot be written to.',
            items: new OA\Items(ref: '#/components/schemas/LeftOut'),
        )]
        public array $leftOut,
        #[OA\Property(description: 'All of them.')]
        public int $leftOutCount,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/LabelSheet'))]
        public array $sheetsToChoose,
    ) {
    }

    public static function of(Mailing $mailing, LabelSheet $sheet, int $start, int $copies): self
    {
        $labels = count($mailing->envelopes) * $copies;

        return new self(
            $sheet->key,
            $labels,
            $sheet->sheets($labels, $start),
            array_map(fn (Envelope $one) => $one->lines, array_slice($mailing->envelopes, 0, self::EXAMPLES)),
            array_map(
                fn (Addressee $one) => new LeftOutData($one->id, $one->name, $one->why),
                array_slice($mailing->leftOut, 0, self::SHOWN),
            ),
            count($mailing->leftOut),
            array_values(array_map(
                fn (LabelSheet $one) => new LabelSheetData($one->key, $one->title, $one->count(), $one->isEnvelope),
                LabelSheet::all(),
            )),
        );
    }
}
