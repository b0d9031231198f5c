<?php

declare(strict_types=1);

namespace App\Queries\Terms;

use Almanac\Calendar\Day;
use Almanac\Terms\PaymentTerms;
use Almanac\Terms\Shorthand;
use App\Http\Data\Terms\TermsPreviewData;
use App\Models\Office;
use App\Support\Clock;
use App\Support\FieldProblems;
use App\Support\OfficeCalendar;
use Illuminate\Validation\ValidationException;

/** Says when a document of a date would be due on some terms, and why. */
final readonly class PreviewTerms
{
    public function __construct(private Clock $clock)
    {
    }

    /** @throws ValidationException when the terms or the date cannot be read */
    public function handle(string $shorthand, string $documentDate): TermsPreviewData
    {
        $problems = new FieldProblems;
        $office = Office::current();
        $terms = $problems->at('terms', fn () => Shorthand::read($shorthand));
        $day = $problems->at('documentDate', fn () => $this->clock->reader($office)->read($documentDate));
        $preview = $terms === null || $day === null
            ? null
            : $problems->at('documentDate', fn () => $this->of($terms, $day));
        $problems->throwIfAny();

        return $preview ?? throw new \LogicException('A preview that was not refused is there.');
    }

    public function of(PaymentTerms $terms, Day $documentDate): TermsPreviewData
    {
        return TermsPreviewData::of($terms, $terms->applyTo($documentDate, OfficeCalendar::of(Office::current())));
    }
}
