<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\Auth;

/**
 * What belongs to a record, or to a case or a project: of a private one it is there only for whom that names.
 */
trait OfReadableSubject
{
    protected static function bootOfReadableSubject(): void
    {
        static::addGlobalScope('readable', function (Builder $query): void {
            $reader = Auth::user();
            if ($reader instanceof User) {
                self::onlyFor($query, $reader);
            }
        });
    }

    /**
     * All of them, whoever may see them: for what is found without being shown.
     *
     * @return Builder<self>
     */
    public static function everyOne(): Builder
    {
        return self::query()->withoutGlobalScope('readable');
    }

    /** @param  Builder<covariant self>  $query */
    public static function onlyFor(Builder $query, User $reader): void
    {
        $query->whereNotIn($query->getModel()->getTable().'.subject_id', Engagement::hiddenFrom($reader));
    }

    /** The record, the case or the project. Load both, of several. */
    public function subject(): SubjectModel
    {
        return $this->party ?? $this->engagement ?? throw new \LogicException('What it belongs to is gone.');
    }

    /** @return BelongsTo<Party, $this> */
    public function party(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'subject_id');
    }

    /** @return BelongsTo<Engagement, $this> */
    public function engagement(): BelongsTo
    {
        return $this->belongsTo(Engagement::class, 'subject_id');
    }
}
