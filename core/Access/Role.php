<?php

declare(strict_types=1);

namespace Almanac\Access;

/** What somebody who signs in may do. */
enum Role: string
{
    case Administrator = 'administrator';
    case Clerk = 'clerk';
    case Approver = 'approver';
    case Reader = 'reader';

    public function may(Permission $permission): bool
    {
        return in_array($permission, $this->permissions(), true);
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
