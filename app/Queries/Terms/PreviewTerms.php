<?php

declare(strict_types=1);

namespace App\Queries\Terms;

use Almanac\Calendar\Day;
use Almanac\Terms\PaymentTerms;
use Almanac\Terms\Shorthand;
use App\Http\Data\Ledger\PreviewProblemData;
use App\Http\Data\Terms\TermsAnswerData;
use App\Http\Data\Terms\TermsPreviewData;
use App\Models\Office;
use App\Time\Clock;
use App\Time\OfficeCalendar;
use App\Validation\FieldProblems;

/** Says when a document of a date would be due on some terms, and why. */
final readonly class PreviewTerms
{
    public function __construct(private Clock $clock)
    {
    }

    /** Terms that are half typed are no mistake yet: what is missing is part of the answer. */
    public function handle(string $shorthand, string $documentDate): TermsAnswerData
    {
        $problems = new FieldProblems;
        $terms = $problems->at('terms', fn () => Shorthand::read($shorthand));
        $day = $problems->at('documentDate', fn () => $this->clock->reader(Office::current())->read($documentDate));
        $preview = $terms === null || $day === null ? null : $problems->at('documentDate', fn () => $this->of($terms, $day));

        return new TermsAnswerData($preview, PreviewProblemData::all($problems->all()));
    }

    public function of(PaymentTerms $terms, Day $documentDate): TermsPreviewData
    {
        return TermsPreviewData::of($terms, $terms->applyTo($documentDate, OfficeCalendar::of(Office::current())));
    }
}
