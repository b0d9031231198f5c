<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Titled;

/** What of the ledger somebody wants listed: documents or payments in a state, or due within some days. */
enum ListedState: string implements Titled
{
    case Open = 'open';
    case Owed = 'owed';
    case Overdue = 'overdue';
    case NewlyOverdue = 'newly-overdue';
    case DueThisWeek = 'due-this-week';
    case Billed = 'billed';
    case Draft = 'draft';
    case Issued = 'issued';
    case PartPaid = 'part-paid';
    case Settled = 'settled';
    case Void = 'void';

    /** Payments that are not void. */
    case Counted = 'counted';

    /** Payments that a tax report counts. */
    case Reported = 'reported';

    public function title(): string
    {
        return match ($this) {
            self::Open => 'open, with credits',
            self::Owed => 'open',
            self::NewlyOverdue => 'overdue within a week',
            self::DueThisWeek => 'due within a week',
            self::Billed => 'issued or entered',
            self::Draft => 'drafts',
            self::Issued => 'open in full',
            self::PartPaid => 'open in part',
            default => $this->value,
        };
    }

    /** @return list<self> those that documents can be in */
    public static function ofDocuments(): array
    {
        return array_filter(self::cases(), fn (self $state) => $state !== self::Counted && $state !== self::Reported);
    }
}
