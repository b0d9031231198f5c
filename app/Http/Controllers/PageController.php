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
    /** Of any number that there is. */
    private const FIGURES = 18;

    public function __construct(private ReadMerges $merges)
    {
    }

    public function record(Request $request, string $record, string $rest = ''): View|RedirectResponse
    {
        // Whoever is not signed in is told nothing: the page leads on when they are.
        $kept = $request->user() === null || strlen($record) > self::FIGURES ? null : $this->merges->keptOf((int) $record);

        return $kept === null
            ? view('app')
            : new RedirectResponse("/records/$kept".($rest === '' ? '' : "/$rest"), 301, ['Cache-Control' => 'no-store']);
    }
}
