<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Calendar\TimeOfDay;
use Almanac\Meetings\Meeting as When;
use Almanac\Meetings\MeetingState;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * A meeting with people and colleagues, for a record, or for a case or a project.
 *
 * @property int $id
 * @property int $subject_id
 * @property int|null $document_id the quote, or whatever else, that it is about
 * @property string $title
 * @property Day $held_on
 * @property string $time by the office's clock, as in 09:30
 * @property int $minutes
 * @property string $place
 * @property string $agenda
 * @property string $outcome what came of it
 * @property MeetingState $state
 * @property int $sequence how often those who were invited have been told something else since
 * @property bool $is_invited whether invitations have gone out
 * @property int $version
 * @property int $user_id
 * @property-read Party|null $party
 * @property-read Engagement|null $engagement
 * @property-read Document|null $document
 * @property-read User $user
 * @property-read Collection<int, Party> $parties
 * @property-read Collection<int, User> $users
 */
final class Meeting extends Model
{
    use OfReadableSubject;

    protected $table = 'meetings';

    protected $attributes = [
        'document_id' => null,
        'outcome' => '',
        'state' => 'planned',
        'sequence' => 0,
        'is_invited' => false,
        'version' => 0,
    ];

    protected function casts(): array
    {
        return ['held_on' => DayCast::class, 'state' => MeetingState::class, 'is_invited' => 'boolean'];
    }

    public function when(): When
    {
        return When::of($this->held_on, TimeOfDay::read($this->time), $this->minutes, $this->place);
    }

    /** @return BelongsToMany<Party, $this> */
    public function parties(): BelongsToMany
    {
        return $this->belongsToMany(Party::class, 'meeting_parties')->orderBy('sort_key')->orderBy('parties.id');
    }

    /** @return BelongsToMany<User, $this> */
    public function users(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'meeting_users')->orderBy('name');
    }

    /** @return BelongsTo<Document, $this> */
    public function document(): BelongsTo
    {
        return $this->belongsTo(Document::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
