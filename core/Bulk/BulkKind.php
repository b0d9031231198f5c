<?php

declare(strict_types=1);

namespace Almanac\Bulk;

use Almanac\Titled;

/** What can be done to many records at once. */
enum BulkKind: string implements Titled
{
    case Owner = 'owner';
    case AccountManager = 'account-manager';
    case Buyer = 'buyer';
    case AddTypes = 'add-types';
    case TakeTypes = 'take-types';
    case AddTags = 'add-tags';
    case TakeTags = 'take-tags';
    case Source = 'source';
    case Language = 'language';
    case Terms = 'terms';
    case SideField = 'side-field';
    case Detail = 'detail';
    case Archive = 'archive';
    case Restore = 'restore';
    case Delete = 'delete';
    case Reminder = 'reminder';
    case LogEntry = 'log-entry';
    case Engagement = 'engagement';

    public function title(): string
    {
        return match ($this) {
            self::Owner => 'Owner',
            self::AccountManager => 'Account manager',
            self::Buyer => 'Buyer',
            self::AddTypes => 'Add types',
            self::TakeTypes => 'Take off types',
            self::AddTags => 'Add tags',
            self::TakeTags => 'Take off tags',
            self::Source => 'Where they came from',
            self::Language => 'Language of letters',
            self::Terms => 'Payment terms',
            self::SideField => 'Billing and paying',
            self::Detail => 'A field of a detail sheet',
            self::Archive => 'Archive',
            self::Restore => 'Restore',
            self::Delete => 'Delete',
            self::Reminder => 'Set a reminder for each',
            self::LogEntry => 'Write into the log of each',
            self::Engagement => 'Add to a case or project',
        };
    }
}
