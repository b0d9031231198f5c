<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What a case or a project has and is tied to.
 */
trait PartsOfEngagement
{
    /** @return BelongsTo<EngagementKind, $this> */
    public function kind(): BelongsTo
    {
        return $this->belongsTo(EngagementKind::class);
    }

    /** @return BelongsTo<EngagementStage, $this> */
    public function stage(): BelongsTo
    {
        return $this->belongsTo(EngagementStage::class);
    }

    /** @return BelongsTo<User, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'owner_id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Address, $this> */
    public function siteAddress(): BelongsTo
    {
        return $this->belongsTo(Address::class, 'site_id');
    }

    /** @return HasMany<EngagementParty, $this> those that have not ended first */
    public function parties(): HasMany
    {
        return $this->hasMany(EngagementParty::class)->orderByRaw('until is not null')->orderBy('rank')->orderBy('id');
    }

    /** @return HasMany<EngagementMove, $this> in the order in which they were made */
    public function moves(): HasMany
    {
        return $this->hasMany(EngagementMove::class)->orderBy('id');
    }

    /** @return HasMany<EngagementTie, $this> */
    public function tiesFrom(): HasMany
    {
        return $this->hasMany(EngagementTie::class, 'from_id');
    }

    /** @return HasMany<EngagementTie, $this> */
    public function tiesTo(): HasMany
    {
        return $this->hasMany(EngagementTie::class, 'to_id');
    }

    /** @return Collection<int, EngagementTie> */
    public function ties(): Collection
    {
        return $this->tiesFrom->merge($this->tiesTo)->sortBy('id')->values();
    }

    /** @return BelongsToMany<User, $this> who may see it while it is private */
    public function readers(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'engagement_users')->orderBy('name');
    }

    /** @return HasMany<File, $this> */
    public function files(): HasMany
    {
        return $this->hasMany(File::class, 'subject_id')->orderByDesc('id');
    }

    /** @return HasMany<Reminder, $this> */
    public function reminders(): HasMany
    {
        return $this->hasMany(Reminder::class, 'subject_id');
    }

    /** @return HasMany<LogEntry, $this> */
    public function logEntries(): HasMany
    {
        return $this->hasMany(LogEntry::class, 'subject_id')->orderByDesc('id');
    }

    /** @return HasMany<DetailValue, $this> */
    public function detailValues(): HasMany
    {
        return $this->hasMany(DetailValue::class, 'subject_id');
    }

    /** @return HasMany<Document, $this> */
    public function documents(): HasMany
    {
        return $this->hasMany(Document::class);
    }
}
