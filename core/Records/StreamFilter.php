<?php

declare(strict_types=1);

namespace Almanac\Records;

use Almanac\Titled;

/** What of a history somebody wants to see. */
enum StreamFilter: string implements Titled
{
    case All = 'all';
    case Written = 'written';
    case Money = 'money';
    case Stages = 'stages';
    case Changes = 'changes';

    public function title(): string
    {
        return match ($this) {
            self::All => 'everything',
            self::Written => 'what was said and written',
            self::Money => 'documents and payments',
            self::Stages => 'stages',
            self::Changes => 'changes',
        };
    }

    /** @return list<StreamKind> */
    public function kinds(): array
    {
        return match ($this) {
            self::All => StreamKind::cases(),
            self::Written => [StreamKind::Meeting, StreamKind::Entry, StreamKind::Message],
            self::Money => [StreamKind::Document, StreamKind::Payment],
            self::Stages => [StreamKind::Stage],
            self::Changes => [StreamKind::Changes],
        };
    }
}
