<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Records\LoggedFact;
use App\Actions\Records\SectionOf;

/** What sections say now, and what they are read to have said on a past day, in one shape. */
trait ReadsPastDays
{
    /**
     * @param list<SectionOf> $sections of one subject
     *
     * @return array<string, string>
     */
    protected function toldNow(array $sections): array
    {
        $told = [];
        foreach ($sections as $section) {
            $section->reload();
            foreach (array_filter($section->facts(), fn (LoggedFact $fact) => $fact->value !== '') as $key => $fact) {
                $told["{$section->subject->id} {$section->name->value} $key"] = "$fact->label: $fact->value";
            }
        }

        return $told;
    }

    /**
     * @param string $path "parties" or "engagements"
     *
     * @return array<string, string>
     */
    protected function toldOn(string $path, int $id, string $day): array
    {
        $told = [];
        foreach ($this->getJson("/api/$path/$id/as-of?day=$day")->assertOk()->json('sections') as $section) {
            foreach (array_filter($section['facts'], fn (array $fact) => $fact['then'] !== '') as $fact) {
                $told["$id {$section['section']} {$fact['key']}"] = "{$fact['label']}: {$fact['then']}";
            }
        }

        return $told;
    }
}
