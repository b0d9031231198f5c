<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Addresses\CountryNames;
use Almanac\Calendar\Day;
use Almanac\Engagements\StageKind;
use Almanac\Finding\Fold;
use Almanac\Lists\Field;
use Almanac\Lists\FieldType;
use Almanac\Lists\Operator;
use Almanac\Lists\Phrase;
use Almanac\Lists\Value;
use Almanac\Money\Money;
use App\Models\Engagement;
use App\Models\EngagementKind;
use App\Models\EngagementParty;
use App\Models\EngagementRole;
use App\Models\EngagementStage;
use App\Models\User;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;

/**
 * Cases and projects. Which of them somebody may see is asked besides.
 *
 * @implements ListRegister<Engagement>
 */
final class EngagementRegister implements ListRegister
{
    public function columns(): array
    {
        return ['number', 'client', 'stage', 'days', 'owner', 'agreed'];
    }

    public function sort(): array
    {
        return ['begun'];
    }

    public function fields(): Collection
    {
        return once(fn () => collect([
            ListedField::of(
                'number', 'Number', FieldType::Text, fn (Engagement $one) => Value::text($one->number),
                new Column('fold(engagements.number)'),
            ),
            ListedField::of(
                'title', 'Title', FieldType::Text, fn (Engagement $one) => Value::text($one->title),
                new Column("fold(nullif(engagements.title, ''))"),
            ),
            self::named('engagement-kind', 'Kind', 'kind', 'engagement_kinds', 'kind_id', fn (Engagement $one) => $one->kind->name)
                ->chosenFrom(fn () => self::names(EngagementKind::query()->orderBy('name')->pluck('name'))),
            self::named('stage', 'Stage', 'stage', 'engagement_stages', 'stage_id', fn (Engagement $one) => $one->stage->name, 'rank')
                ->chosenFrom(fn () => self::names(EngagementStage::query()->distinct()->orderBy('name')->pluck('name'))),
            ListedField::of(
                'meaning',
                'How it stands',
                FieldType::Choice,
                fn (Engagement $one) => Value::choice($one->stage->meaning->value),
                new Column('(select meaning from engagement_stages where engagement_stages.id = engagements.stage_id)'),
                ['stage'],
            )->chosenFrom(fn () => array_column(StageKind::cases(), 'value')),
            self::named('owner', 'Looked after by', 'owner', 'users', 'owner_id', fn (Engagement $one) => $one->owner->name ?? '')
                ->chosenFrom(Colleagues::names(...)),
            self::concerned('client', 'For', 'parties.display_name', fn (EngagementParty $one) => $one->party->display_name, true),
            self::concerned('party', 'Concerned', 'parties.display_name', fn (EngagementParty $one) => $one->party->display_name),
            self::concerned('role', 'Role that somebody has', 'engagement_roles.name', fn (EngagementParty $one) => $one->role->name)
                ->chosenFrom(fn () => self::names(EngagementRole::query()->distinct()->orderBy('name')->pluck('name'))),
            self::site('country', 'Country', fn (string $country) => CountryNames::of($country)),
            self::site('region', 'State or region')->offering('region'),
            self::site('locality', 'City')->offering('locality'),
            self::site('postcode', 'Postcode'),
            self::day('begun', 'Begun', 'engagements.begun_on', fn (Engagement $one) => $one->begun_on),
            self::day('moved', 'In its stage since', 'engagements.moved_on', fn (Engagement $one) => $one->moved_on),
            self::day(
                'closed',
                'Closed',
                'iif(engagements.is_closed, engagements.moved_on, null)',
                fn (Engagement $one) => $one->is_closed ? $one->moved_on : null,
            ),
            ListedField::of(
                'days',
                'Days in its stage',
                FieldType::Number,
                fn (Engagement $one, Day $today) => Value::number($one->is_closed ? null : $today->number - $one->moved_on->number),
                new Later(
                    fn (Day $today) => new Column(
                        "iif(engagements.is_closed, null, cast(julianday('{$today->toIso()}') - julianday(engagements.moved_on) as int))",
                    ),
                    fn () => 'iif(engagements.is_closed, null, -julianday(engagements.moved_on))',
                ),
            ),
            self::day('decided', 'To be decided', 'engagements.decided_on', fn (Engagement $one) => $one->decided_on),
            self::amount('agreed', 'Agreed', 'agreed_minor'),
            self::amount('value', 'Expected value', 'value_minor'),
            self::amount('weighed', 'Weighed value', 'weighed_minor'),
            ListedField::of(
                'chance',
                'Chance in per cent',
                FieldType::Number,
                fn (Engagement $one) => Value::number($one->chance === null ? null : BigDecimal::of($one->chance)),
                new Column('cast(engagements.chance as real)'),
            ),
            ListedField::of(
                'private',
                'Private',
                FieldType::YesNo,
                fn (Engagement $one) => Value::yesNo($one->is_private),
                new Column('engagements.is_private'),
            ),
            self::day('archived-on', 'Archived on', 'engagements.archived_on', fn (Engagement $one) => $one->archived_on),
            ...DetailFields::ofEngagements(),
        ])->keyBy(fn (ListedField $one) => $one->field->key));
    }

    public function phrases(User $reader): array
    {
        $of = fn (string $key): Field => $this->fields()->get($key)->field ?? throw new \LogicException("There is no field $key.");
        $meaning = fn (string $words, StageKind $kind) => Phrase::usual($words, $of('meaning'), Operator::Is, Value::choice($kind->value));

        return [
            $meaning('enquiries', StageKind::Enquiry),
            $meaning('waiting', StageKind::Waiting),
            $meaning('open', StageKind::Open),
            Phrase::also('my', $of('owner'), Operator::Is, Value::choice($reader->name)),
            Phrase::also('mine', $of('owner'), Operator::Is, Value::choice($reader->name)),
            Phrase::usual('looked after by nobody', $of('owner'), Operator::Lacks),
            Phrase::usual('at', $of('stage'), Operator::Is),
            Phrase::usual('for', $of('client'), Operator::AnyOf),
            Phrase::usual('concerning', $of('party'), Operator::AnyOf),
            Phrase::usual('with somebody as', $of('role'), Operator::AnyOf),
            Phrase::usual('with nobody as', $of('role'), Operator::NoneOf),
            Phrase::usual('in', $of('site-region'), Operator::Is),
            Phrase::usual('in', $of('site-country'), Operator::Is),
            Phrase::usual('in', $of('site-locality'), Operator::Is),
            Phrase::usual('above', $of('agreed'), Operator::Above),
            Phrase::also('over', $of('agreed'), Operator::Above),
            Phrase::usual('below', $of('agreed'), Operator::Below),
            Phrase::usual('with nothing agreed', $of('agreed'), Operator::Lacks),
        ];
    }

    /**
     * @param Collection<array-key, mixed> $names
     *
     * @return list<string>
     */
    private static function names(Collection $names): array
    {
        return array_values(array_unique(array_filter($names->all(), is_string(...))));
    }

    /**
     * What stands in another table under its number.
     *
     * @param \Closure(Engagement): string $name
     *
     * @return ListedField<Engagement>
     */
    private static function named(
        string $key,
        string $title,
        string $relation,
        string $table,
        string $column,
        \Closure $name,
        string $rank = '',
    ): ListedField {
        return ListedField::of(
            $key,
            $title,
            FieldType::Choice,
            fn (Engagement $one) => Value::choice($name($one)),
            new Column(
                "(select fold(name) from $table where $table.id = engagements.$column)",
                order: $rank === '' ? '' : "(select $rank from $table where $table.id = engagements.$column)",
            ),
            [$relation],
        );
    }

    /**
     * Whoever has a role in it now, or the role.
     *
     * @param \Closure(EngagementParty): string $text
     *
     * @return ListedField<Engagement>
     */
    private static function concerned(string $key, string $title, string $column, \Closure $text, bool $isClient = false): ListedField
    {
        return ListedField::of(
            $key,
            $title,
            FieldType::Choices,
            fn (Engagement $one, Day $today) => Value::choices(array_values($one->parties
                ->filter(fn (EngagementParty $party) => $party->isNow($today) && (! $isClient || $party->role->is_client))
                ->map($text)->unique()->sortBy(fn (string $name) => Fold::text($name))->all())),
            new Later(
                fn (Day $today) => new Rows(
                    'select engagement_id as party_id from engagement_parties'
                        .' join parties on parties.id = engagement_parties.party_id join engagement_roles on engagement_roles.id = role_id'
                        ." where (until is null or until >= '{$today->toIso()}')".($isClient ? ' and engagement_roles.is_client = 1' : ''),
                    "fold($column)",
                    '',
                    of: 'engagements.id',
                ),
                fn () => '',
            ),
            ['parties.role', 'parties.party'],
        );
    }

    /**
     * Of the place where it is, be it an address that others have too or its own.
     *
     * @param (\Closure(string): string)|null $called
     *
     * @return ListedField<Engagement>
     */
    private static function site(string $part, string $title, ?\Closure $called = null): ListedField
    {
        $sql = "iif(engagements.site_id is null, nullif(engagements.site_$part, ''), (select nullif($part, '') from addresses where addresses.id = engagements.site_id))";

        return ListedField::of(
            "site-$part",
            $title,
            $part === 'postcode' ? FieldType::Text : FieldType::Choice,
            function (Engagement $one) use ($part, $called): Value {
                $site = $one->site();
                $text = $site === null ? '' : match ($part) {
                    'country' => $site->country,
                    'region' => $site->region,
                    'locality' => $site->locality,
                    default => $site->postcode,
                };
                $text = $text === '' || $called === null ? $text : $called($text);

                return $part === 'postcode' ? Value::text($text) : Value::choice($text);
            },
            new Column($called === null ? "fold($sql)" : "country_name($sql)"),
            ['siteAddress'],
        );
    }

    /**
     * @param \Closure(Engagement): ?Day $day
     *
     * @return ListedField<Engagement>
     */
    private static function day(string $key, string $title, string $sql, \Closure $day): ListedField
    {
        return ListedField::of($key, $title, FieldType::Day, fn (Engagement $one) => Value::day($day($one)), new Column($sql));
    }

    /** @return ListedField<Engagement> */
    private static function amount(string $key, string $title, string $column): ListedField
    {
        return ListedField::of(
            $key,
            $title,
            FieldType::Amount,
            function (Engagement $one) use ($column): Value {
                $minor = $one->getAttribute($column);

                return Value::amount(is_int($minor) ? Money::ofMinor($minor, $one->currency) : null);
            },
            new Column("engagements.$column", 'engagements.currency'),
        );
    }
}
