<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Almanac\Access\Permission;
use App\Actions\Mailing\KeepMailServer;
use App\Models\User;
use Illuminate\Http\Request;

/** A test message, sent before the act that says so in the log. */
final class TryMailServerFirst extends OutsideFirst
{
    public function __construct(private readonly KeepMailServer $keep)
    {
    }

    protected function permission(): Permission
    {
        return Permission::RunOffice;
    }

    protected function ask(Request $request): bool
    {
        $user = $request->user();
        if ($user instanceof User) {
            $this->keep->try($user);
        }

        return true;
    }
}
