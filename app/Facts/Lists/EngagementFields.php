<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\FieldType;
use Almanac\Lists\Value;
use App\Models\Engagement;
use App\Models\EngagementParty;
use App\Models\EngagementRole;
use App\Models\EngagementStage;
use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Facades\Auth;

/** The part of the register that tells what a record is part of now; nobody learns of a case that they may not see. */
final class EngagementFields
{
    /** @return list<ListedField<Party>> */
    public static function all(): array
    {
        return [
            self::field(
                'engagement-role',
                'Role in a case or project',
                'engagement_roles.name',
                fn (EngagementParty $one) => $one->role->name,
            )
                ->chosenFrom(fn () => array_values(
                    EngagementRole::query()->distinct()->orderBy('name')->pluck('name')->map(strval(...))->all(),
                )),
            self::field(
                'engagement-stage',
                'Stage of a case or project',
                'engagement_stages.name',
                fn (EngagementParty $one) => $one->engagement->stage->name ?? '',
            )
                ->chosenFrom(fn () => array_values(
                    EngagementStage::query()->distinct()->orderBy('name')->pluck('name')->map(strval(...))->all(),
                )),
            self::field('engagement', 'Case or project', 'engagements.number', fn (EngagementParty $one) => $one->engagement->number ?? ''),
        ];
    }

    /**
     * @param \Closure(EngagementParty): string $text
     *
     * @return ListedField<Party>
     */
    private static function field(string $key, string $title, string $column, \Closure $text): ListedField
    {
        return ListedField::of(
            $key,
            $title,
            FieldType::Choices,
            fn (Party $party, Day $today) => Value::choices(array_values($party->engagementParties
                ->filter(fn (EngagementParty $one) => $one->engagement !== null && $one->isNow($today))
                ->map($text)->unique()->sort()->values()->all())),
            new Later(
                fn (Day $today) => new Rows(self::rows($today), "fold($column)", ''),
                fn () => '',
            ),
            ['engagementParties.role', 'engagementParties.engagement.stage'],
        );
    }

    private static function rows(Day $today): string
    {
        $reader = Auth::user();
        $hidden = $reader instanceof User ? Engagement::hiddenFrom($reader)->toRawSql() : '';

        return 'select engagement_parties.party_id from engagement_parties'
            .' join engagement_roles on engagement_roles.id = role_id'
            .' join engagements on engagements.id = engagement_id'
            .' join engagement_stages on engagement_stages.id = engagements.stage_id'
            ." where (engagement_parties.until is null or engagement_parties.until >= '{$today->toIso()}')"
            .($hidden === '' ? '' : " and engagements.id not in ($hidden)");
    }
}
