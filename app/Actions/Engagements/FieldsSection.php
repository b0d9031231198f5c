<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use Almanac\Records\SectionName;
use App\Actions\Records\Past;
use App\Actions\Records\WriteDetails;
use App\Facts\Details\Sheets;
use App\Models\Engagement;

/** What the detail sheets of its kind ask of a case or a project. */
final readonly class FieldsSection implements EngagementSection
{
    public function __construct(private WriteDetails $details)
    {
    }

    public function name(): SectionName
    {
        return SectionName::Details;
    }

    public function reads(): array
    {
        return ['detailValues.field'];
    }

    public function facts(Engagement $engagement): array
    {
        return $this->details->facts(Sheets::ofEngagement($engagement));
    }

    public function state(Engagement $engagement): array
    {
        return $this->details->state($engagement->detailValues);
    }

    public function recall(Engagement $then, array $state, Past $past): void
    {
        $then->setRelation('detailValues', $this->details->recall($state));
    }

    public function isPrivate(array $state): bool
    {
        return $this->details->isPrivate($state);
    }

    public function write(Engagement $engagement, array $input): void
    {
        $this->details->write($engagement->id, Sheets::ofEngagement($engagement->load('detailValues')), $input);
    }
}
