<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Addresses\PostalAddress;
use Almanac\Calendar\Day;
use Almanac\Engagements\Enquiry;
use Almanac\Engagements\StageHistory;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Records\SubjectKind;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/**
 * A case, a project, whatever the firm calls it: what people and companies are linked to. A private one is there only
 * for whom it names: whoever asks for engagements while somebody is signed in gets those that they may see.
 *
 * @property int $id
 * @property int $kind_id
 * @property string $number
 * @property string $title
 * @property int|null $owner_id the colleague who looks after it
 * @property bool $is_private
 * @property string $currency
 * @property int|null $agreed_minor the fee or the budget
 * @property int|null $value_minor of an enquiry: what it may be worth
 * @property string|null $chance per cent
 * @property int|null $weighed_minor its value by its chance
 * @property Day|null $decided_on when a decision is expected
 * @property string $terms payment terms in shorthand; empty for those of whoever is billed
 * @property int|null $site_id
 * @property string $site_country ISO 3166-1 alpha-2; empty where no place is known
 * @property string $site_lines
 * @property string $site_locality
 * @property string $site_region
 * @property string $site_postcode
 * @property string $site_note
 * @property int $user_id who began it
 * @property int $stage_id
 * @property Day $moved_on since when it is in its stage
 * @property bool $is_closed
 * @property Day $begun_on
 * @property-read EngagementKind $kind
 * @property-read EngagementStage $stage
 * @property-read User|null $owner
 * @property-read User $user
 * @property-read Address|null $siteAddress
 * @property-read Collection<int, EngagementParty> $parties
 * @property-read Collection<int, EngagementMove> $moves
 * @property-read Collection<int, EngagementTie> $tiesFrom
 * @property-read Collection<int, EngagementTie> $tiesTo
 * @property-read Collection<int, User> $readers
 * @property-read Collection<int, DetailValue> $detailValues
 */
final class Engagement extends SubjectModel
{
    use PartsOfEngagement;

    protected $table = 'engagements';

    /** Word for word as the indexes of what is going on have it. */
    public const IS_GOING = 'engagements.is_closed = 0 and engagements.archived_on is null';

    private const READABLE = 'readable';

    protected $attributes = [
        'owner_id' => null,
        'is_private' => false,
        'agreed_minor' => null,
        'value_minor' => null,
        'chance' => null,
        'weighed_minor' => null,
        'decided_on' => null,
        'terms' => '',
        'site_id' => null,
        'site_country' => '',
        'site_lines' => '',
        'site_locality' => '',
        'site_region' => '',
        'site_postcode' => '',
        'site_note' => '',
        'archived_on' => null,
        'archive_reason' => '',
        'is_closed' => false,
    ];

    protected function casts(): array
    {
        return [
            'is_private' => 'boolean',
            'is_closed' => 'boolean',
            'decided_on' => DayCast::class,
            'archived_on' => DayCast::class,
            'moved_on' => DayCast::class,
            'begun_on' => DayCast::class,
        ];
    }

    protected static function booted(): void
    {
        parent::booted();
        self::addGlobalScope(self::READABLE, function (Builder $query): void {
            $reader = Auth::user();
            if ($reader instanceof User) {
                self::onlyFor($query, $reader);
            }
        });
    }

    /**
     * All of them, whoever may see them: for what is counted or kept without being shown.
     *
     * @return Builder<self>
     */
    public static function everyOne(): Builder
    {
        return self::query()->withoutGlobalScope(self::READABLE);
    }

    /** The private ones that somebody is not named in. */
    public static function hiddenFrom(User $reader): QueryBuilder
    {
        return DB::table('engagements')->select('id')->whereRaw('is_private = 1')->whereNotIn(
            'id',
            DB::table('engagement_users')->select('engagement_id')->where('user_id', $reader->id),
        );
    }

    /** Whether it is private, and does not name somebody. */
    public function isHiddenFrom(User $reader): bool
    {
        return self::hiddenFrom($reader)->where('id', $this->id)->exists();
    }

    /** @param  Builder<self>  $query */
    public static function onlyFor(Builder $query, User $reader): void
    {
        $query->whereNotIn('engagements.id', self::hiddenFrom($reader));
    }

    public static function subjectKind(): SubjectKind
    {
        return SubjectKind::Engagement;
    }

    /** As it is named to others: "2026-007 Town hall clock". */
    public function shownTitle(): string
    {
        return "$this->number $this->title";
    }

    public function agreed(): ?Money
    {
        return $this->agreed_minor === null ? null : Money::ofMinor($this->agreed_minor, $this->currency);
    }

    /** Null where it is not known what it may be worth. */
    public function enquiry(): ?Enquiry
    {
        return $this->value_minor === null
            ? null
            : Enquiry::of(Money::ofMinor($this->value_minor, $this->currency), Percent::of($this->chance ?? '100'), $this->decided_on);
    }

    public function history(): StageHistory
    {
        $moves = array_values($this->moves->map(fn (EngagementMove $move) => $move->move())->all());

        return $moves === [] ? StageHistory::begun($this->stage->stage(), $this->begun_on) : StageHistory::of($moves);
    }

    /** Where it is; null where that is not known. */
    public function site(): ?PostalAddress
    {
        return match (true) {
            $this->siteAddress !== null => $this->siteAddress->postal(),
            $this->site_country === '' => null,
            default => PostalAddress::of(
                $this->site_country,
                $this->site_lines,
                $this->site_locality,
                $this->site_region,
                $this->site_postcode,
            ),
        };
    }

    /** What is kept of the place itself, so that it stays known when nobody has the address any more. */
    public function keepSite(?PostalAddress $postal): void
    {
        $this->fill([
            'site_country' => $postal->country ?? '',
            'site_lines' => implode("\n", $postal->lines ?? []),
            'site_locality' => $postal->locality ?? '',
            'site_region' => $postal->region ?? '',
            'site_postcode' => $postal->postcode ?? '',
        ]);
    }
}
