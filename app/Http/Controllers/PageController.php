<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Queries\Merging\ReadMerges;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Every page is the same page, but for that of a record that was made one with another: it is where that is. */
final readonly class PageController
{
    public function __construct(private ReadMerges $merges)
    {
    }

    public function record(Request $request, int $record, string $rest = ''): View|RedirectResponse
    {
        // Whoever is not signed in is told nothing: the page leads on when they are.
        $kept = $request->user() === null ? null : $this->merges->keptOf($record);

        return $kept === null
            ? view('app')
            : new RedirectResponse("/records/$kept".($rest === '' ? '' : "/$rest"), 301, ['Cache-Control' => 'no-store']);
    }
}
