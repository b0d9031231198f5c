<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Models\SectionState;

/** What a section said on a past day. */
final readonly class RecalledSection
{
    /**
     * @param array<string, LoggedFact> $facts
     * @param SectionState|null $kept the state that it is read from; null where it has never been saved
     */
    public function __construct(public SectionName $name, public array $facts, public ?SectionState $kept)
    {
    }
}
