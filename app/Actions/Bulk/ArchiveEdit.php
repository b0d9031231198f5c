<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

use Almanac\Bulk\BulkRefused;
use Almanac\Lists\Condition;
use Almanac\Lists\Operator;
use Almanac\Lists\Value;
use App\Actions\Records\ArchiveParty;
use App\Facts\Lists\PartyFields;
use App\Models\Party;
use App\Models\User;

/** Takes records out of use, or back into it. */
final readonly class ArchiveEdit implements BulkAct
{
    /** @param  string|null  $reason  null to restore */
    public function __construct(private ?string $reason, private ArchiveParty $archive)
    {
    }

    public function title(): string
    {
        return $this->reason === null ? 'Restore' : "Archive: $this->reason";
    }

    public function isSo(): Condition
    {
        return Condition::of(PartyFields::of('archived')->field, Operator::Is, Value::yesNo($this->reason !== null));
    }

    public function isForUsed(): ?bool
    {
        return null;
    }

    public function apply(Party $party, User $by): ?string
    {
        if ($party->isArchived() === ($this->reason !== null)) {
            return null;
        }
        $was = $party->archive_reason;
        $this->reason === null ? $this->archive->restore($party, $by) : $this->archive->archive($party, $this->reason, $by);

        return $this->reason === null ? "was $was" : 'was in use';
    }

    public function takeBack(?Party $party, string $wayBack, User $by): void
    {
        if ($party === null) {
            throw BulkRefused::isGone();
        }
        // It may have been restored meanwhile, or archived for another reason.
        if ($party->isArchived() !== ($this->reason !== null) || ($this->reason !== null && $party->archive_reason !== $this->reason)) {
            throw BulkRefused::changedSince();
        }
        $this->reason === null
            ? $this->archive->archive($party, substr($wayBack, strlen('was ')) ?: 'as before', $by)
            : $this->archive->restore($party, $by);
    }
}
