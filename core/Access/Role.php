<?php

declare(strict_types=1);

namespace Almanac\Access;

use Almanac\Titled;

/** What somebody who signs in may do. */
enum Role: string implements Titled
{
    case Administrator = 'administrator';
    case Clerk = 'clerk';
    case Approver = 'approver';
    case Reader = 'reader';

    public function title(): string
    {
        return $this->value;
    }

    public function may(Permission $permission): bool
    {
        return in_array($permission, $this->permissions(), true);
    }

    /** What it allows, for whoever gives it to somebody. */
    public function summary(): string
    {
        return match ($this) {
            self::Administrator => 'everything, and run the office',
            self::Approver => 'change records, and approve what needs a second person',
            self::Clerk => 'find and change records, see private values',
            self::Reader => 'find and read, but nothing private',
        };
    }

    /** @return list<Permission> */
    public function permissions(): array
    {
        return match ($this) {
            self::Administrator => Permission::cases(),
            self::Approver => [Permission::ChangeRecords, Permission::SeePrivate, Permission::ApproveChanges],
            self::Clerk => [Permission::ChangeRecords, Permission::SeePrivate],
            self::Reader => [],
        };
    }
}
