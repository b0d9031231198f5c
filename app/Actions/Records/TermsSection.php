<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Fact;
use Almanac\Terms\Shorthand;
use App\Models\ClientTerms;
use App\Models\ListedTerms;
use App\Models\Party;
use App\Models\VendorTerms;
use App\Support\FieldProblems;
use App\Support\SectionName;

/** The payment terms of one side: from the office's list, typed as shorthand, or the office's default. */
final readonly class TermsSection implements Section
{
    private function __construct(private bool $isClientSide)
    {
    }

    public static function whenWeBillThem(): self
    {
        return new self(true);
    }

    public static function whenWePayThem(): self
    {
        return new self(false);
    }

    public function name(): SectionName
    {
        return $this->isClientSide ? SectionName::ClientTerms : SectionName::VendorTerms;
    }

    public function snapshot(Party $party): array
    {
        $own = $this->own($party);

        return ['terms' => new Fact('Payment terms', match (true) {
            $own?->listed !== null => $own->listed->name.' ('.$own->listed->shorthand.')',
            $own?->shorthand !== null => $own->shorthand,
            default => 'as the office',
        })];
    }

    public function neighbours(Party $party): array
    {
        return [];
    }

    public function write(Party $party, array $input): void
    {
        /** @var array{listedId: int|null, shorthand: string|null} $input */
        $problems = new FieldProblems;
        if ($input['listedId'] !== null && ! ListedTerms::query()->whereKey($input['listedId'])->exists()) {
            $problems->add('listedId', 'Those terms are no longer in the office’s list. Choose others.');
        }
        $typed = $input['listedId'] === null ? $input['shorthand'] : null;
        $terms = $typed === null ? null : $problems->at('shorthand', fn () => Shorthand::read($typed));
        $problems->throwIfAny();

        ($this->isClientSide ? $party->clientTerms() : $party->vendorTerms())->updateOrCreate([], [
            'payment_terms_id' => $input['listedId'],
            'shorthand' => $terms?->toShorthand(),
        ]);
    }

    private function own(Party $party): ClientTerms|VendorTerms|null
    {
        $party->load($this->isClientSide ? 'clientTerms.listed' : 'vendorTerms.listed');

        return $this->isClientSide ? $party->clientTerms : $party->vendorTerms;
    }
}
