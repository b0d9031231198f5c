<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\TaxTreatment;
use Almanac\Money\Money;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A quote, order, invoice, credit note, bill or purchase order, or an opening balance.
 *
 * @property int $id
 * @property int $party_id
 * @property DocumentKind $kind
 * @property DocumentState $state
 * @property string|null $number ours when it is issued, theirs on what comes from them
 * @property Day $dated_on
 * @property Day|null $due_on
 * @property Day|null $next_due_on of what is still open
 * @property bool $is_in_parts due on several days
 * @property string $terms shorthand
 * @property TaxTreatment $treatment
 * @property string $currency ISO 4217
 * @property int $net_minor
 * @property int $tax_minor
 * @property int $total_minor
 * @property int $open_minor
 * @property Day|null $settled_on
 * @property string|null $discount_percent
 * @property Day|null $discount_until
 * @property string $reference
 * @property string $note
 * @property int|null $source_id the document it was made from
 * @property Day|null $valid_until of a quote
 * @property int $revision of a quote, from 1
 * @property int|null $replaces_id the quote that it is the next revision of
 * @property array{name: string, payee: string, address: list<string>, taxNumber: string} $copy the details of the party that it carries
 * @property Carbon|null $sent_at
 * @property int $version
 * @property int $user_id
 * @property int|null $import_id
 * @property int|null $engagement_id the case or the project that it is for
 * @property-read Party $party
 * @property-read Engagement|null $engagement
 * @property-read User $user
 * @property-read Document|null $source
 * @property-read Document|null $replaces
 * @property-read Collection<int, self> $replacedBy
 * @property-read Collection<int, DocumentLine> $lines
 * @property-read Collection<int, DocumentDue> $dues
 * @property-read Collection<int, self> $madeFromIt
 * @property-read Collection<int, Allocation> $allocations
 */
final class Document extends Model
{
    use DuesOfDocument;

    protected $table = 'documents';

    /** Word for word as the indexes of open documents have it; with values bound to it SQLite would not use them. */
    public const IS_OPEN = "open_minor > 0 and state in ('issued', 'part-paid')";

    /** The scope that leaves out what is being imported. */
    public const KEPT = 'kept';

    protected $attributes = [
        'reference' => '',
        'note' => '',
        'terms' => '',
        'version' => 0,
        'source_id' => null,
        'sent_at' => null,
        'settled_on' => null,
        'discount_percent' => null,
        'discount_until' => null,
        'number' => null,
        'due_on' => null,
        'next_due_on' => null,
        'is_in_parts' => false,
        'valid_until' => null,
        'revision' => 1,
        'replaces_id' => null,
        'engagement_id' => null,
    ];

    protected function casts(): array
    {
        return [
            'kind' => DocumentKind::class,
            'state' => DocumentState::class,
            'treatment' => TaxTreatment::class,
            'dated_on' => DayCast::class,
            'due_on' => DayCast::class,
            'next_due_on' => DayCast::class,
            'is_in_parts' => 'boolean',
            'settled_on' => DayCast::class,
            'discount_until' => DayCast::class,
            'valid_until' => DayCast::class,
            'copy' => 'array',
            'sent_at' => 'datetime',
        ];
    }

    /** What is being imported is not there yet, for anybody. */
    protected static function booted(): void
    {
        self::addGlobalScope(self::KEPT, fn (Builder $query) => $query->where('documents.state', '!=', DocumentState::Staged));
    }

    /**
     * The documents of an import that do not count yet.
     *
     * @return Builder<self>
     */
    public static function staged(int $importId): Builder
    {
        return self::query()->withoutGlobalScope(self::KEPT)->where('import_id', $importId)->where('state', DocumentState::Staged);
    }

    /** As others call it, with its revision. */
    public function shownNumber(): string
    {
        return $this->numberOr('');
    }

    public function money(int $minor): Money
    {
        return Money::ofMinor($minor, $this->currency);
    }

    public function total(): Money
    {
        return $this->money($this->total_minor);
    }

    public function open(): Money
    {
        return $this->money($this->open_minor);
    }

    /** What it is called: its number, or that it is a draft. */
    public function title(): string
    {
        return $this->kind->title().' '.$this->numberOr('(draft)');
    }

    private function numberOr(string $none): string
    {
        return ($this->number ?? $none).($this->revision > 1 ? ' revision '.$this->revision : '');
    }

    /** @param  Builder<self>  $query */
    public function scopeOpen(Builder $query): void
    {
        $query->whereRaw(self::IS_OPEN);
    }

    /**
     * Documents that the ledger counts.
     *
     * @param Builder<self> $query
     */
    public function scopeIssued(Builder $query): void
    {
        $query->whereIn('state', DocumentState::counted());
    }

    /** @return BelongsTo<Engagement, $this> none where whoever reads may not see it */
    public function engagement(): BelongsTo
    {
        return $this->belongsTo(Engagement::class);
    }

    /** Its case or project, whoever may see it: for what is worked out without being shown. */
    public function everyonesEngagement(): ?Engagement
    {
        return $this->engagement_id === null ? null : Engagement::everyOne()->find($this->engagement_id);
    }

    /** @return BelongsTo<Party, $this> */
    public function party(): BelongsTo
    {
        return $this->belongsTo(Party::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<self, $this> */
    public function source(): BelongsTo
    {
        return $this->belongsTo(self::class, 'source_id');
    }

    /** @return HasMany<self, $this> */
    public function madeFromIt(): HasMany
    {
        return $this->hasMany(self::class, 'source_id')->orderBy('id');
    }

    /** @return HasMany<DocumentLine, $this> */
    public function lines(): HasMany
    {
        return $this->hasMany(DocumentLine::class)->orderBy('rank');
    }

    /** @return BelongsTo<self, $this> the revision before it */
    public function replaces(): BelongsTo
    {
        return $this->belongsTo(self::class, 'replaces_id');
    }

    /** @return HasMany<self, $this> the revision that followed it, a draft or issued */
    public function replacedBy(): HasMany
    {
        return $this->hasMany(self::class, 'replaces_id')->where('state', '!=', DocumentState::Void);
    }

    /** @return HasMany<Allocation, $this> what lowered its open amount */
    public function allocations(): HasMany
    {
        return $this->hasMany(Allocation::class)->orderBy('id');
    }

    /** @return HasMany<Allocation, $this> what was settled by it, where it is a credit */
    public function creditAllocations(): HasMany
    {
        return $this->hasMany(Allocation::class, 'credit_id')->orderBy('id');
    }

    /** @return HasMany<DocumentEvent, $this> */
    public function events(): HasMany
    {
        return $this->hasMany(DocumentEvent::class)->orderByDesc('id');
    }
}
