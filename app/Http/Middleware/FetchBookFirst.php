<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Almanac\Access\Permission;
use App\Actions\Interchange\FetchBook;
use App\Actions\Interchange\FetchedBook;
use App\Http\Requests\Interchange\BookElsewhereRequest;
use Illuminate\Http\Request;

/** The contacts of an address book elsewhere, fetched before the act that receives them. */
final class FetchBookFirst extends OutsideFirst
{
    public function __construct(private readonly FetchBook $fetch)
    {
    }

    protected function permission(): Permission
    {
        return Permission::ChangeRecords;
    }

    protected function ask(Request $request): FetchedBook
    {
        return $this->fetch->ask(app(BookElsewhereRequest::class)->book());
    }
}
