<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use Almanac\Calendar\Day;
use App\Http\Data\Office\ColleagueData;
use App\Models\Engagement;
use App\Models\User;
use OpenApi\Attributes as OA;

/** The section "Title and terms", as it is typed again. */
#[OA\Schema(schema: 'EngagementHead')]
final readonly class EngagementHeadData
{
    /** @param  list<ColleagueData>  $readers */
    private function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property]
        public string $title,
        #[OA\Property(nullable: true)]
        public ?int $ownerId,
        #[OA\Property(description: 'ISO 4217.')]
        public string $currency,
        #[OA\Property]
        public string $agreed,
        #[OA\Property(description: 'Payment terms in shorthand; empty for those of whoever is billed.')]
        public string $terms,
        #[OA\Property(description: 'Of an enquiry: what it may be worth.')]
        public string $value,
        #[OA\Property(description: 'Per cent.')]
        public string $chance,
        #[OA\Property(description: 'When a decision is expected.')]
        public string $decidedOn,
        #[OA\Property(description: 'That day has passed.')]
        public bool $isDecisionOverdue,
        #[OA\Property]
        public bool $isPrivate,
        #[OA\Property(description: 'Who may see it while it is private.', items: new OA\Items(ref: '#/components/schemas/Colleague'))]
        public array $readers,
    ) {
    }

    public static function of(Engagement $engagement, int $version, Day $today): self
    {
        $enquiry = $engagement->enquiry();

        return new self(
            $version,
            $engagement->title,
            $engagement->owner_id,
            $engagement->currency,
            $engagement->agreed()?->figures() ?? '',
            $engagement->terms,
            $enquiry?->value->figures() ?? '',
            $engagement->chance ?? '',
            $engagement->decided_on?->toText() ?? '',
            $enquiry?->isOverdue($today) ?? false,
            $engagement->is_private,
            array_values($engagement->readers->map(fn (User $user) => ColleagueData::of($user))->all()),
        );
    }
}
