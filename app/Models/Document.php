<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\Entry;
use Almanac\Ledger\Instalments;
use Almanac\Ledger\TaxTreatment;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Terms\DiscountOffer;
use Almanac\Terms\Outcome;
use App\Support\DayCast;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
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
 * @property Day $date
 * @property Day|null $due
 * @property list<array{string, int}>|null $parts of what is due in parts: ISO day and minor units
 * @property Day|null $next_due of what is still open
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
 * @property array{name: string, payee: string, address: list<string>, taxNumber: string} $copy the details of the party that it carries
 * @property Carbon|null $sent_at
 * @property int $version
 * @property int $user_id
 * @property int|null $import_id
 * @property-read Party $party
 * @property-read User $user
 * @property-read Document|null $source
 * @property-read Collection<int, DocumentLine> $lines
 * @property-read Collection<int, Settlement> $settlements
 */
final class Document extends Model
{
    protected $guarded = [];

    protected $attributes = ['reference' => '', 'note' => '', 'terms' => '', 'version' => 0, 'source_id' => null, 'sent_at' => null, 'settled_on' => null, 'discount_percent' => null, 'discount_until' => null, 'number' => null, 'due' => null, 'parts' => null, 'next_due' => null];

    protected function casts(): array
    {
        return [
            'kind' => DocumentKind::class, 'state' => DocumentState::class, 'treatment' => TaxTreatment::class,
            'date' => DayCast::class, 'due' => DayCast::class, 'next_due' => DayCast::class, 'settled_on' => DayCast::class, 'discount_until' => DayCast::class,
            'copy' => 'array', 'parts' => 'array', 'sent_at' => 'datetime',
        ];
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

    public function entry(): Entry
    {
        return Entry::of($this->id, $this->kind, $this->date, $this->due ?? $this->date, $this->total(), $this->open(), $this->settled_on);
    }

    /** @return list<Entry> what is due on different days as an entry each */
    public function entries(): array
    {
        if ($this->parts === null) {
            return [$this->entry()];
        }

        return array_map(
            fn (array $part) => Entry::of($this->id, $this->kind, $this->date, $part[0], $part[1], $part[2], $this->settled_on),
            Instalments::open($this->dueParts(), $this->open()),
        );
    }

    /** @return list<array{Day, Money}> */
    private function dueParts(): array
    {
        return array_map(fn (array $part) => [Day::fromIso($part[0]), $this->money($part[1])], $this->parts ?? []);
    }

    /** Sets what is open of it, and what follows from that. */
    public function setOpen(Money $open, Day $on): void
    {
        $this->open_minor = $open->minor;
        $this->state = DocumentState::issued($this->total(), $open);
        $this->settled_on = $open->isZero() ? $on : null;
        $days = array_map(fn (Entry $entry) => $entry->due->toIso(), array_filter($this->entries(), fn (Entry $entry) => $entry->isOpen()));
        $this->next_due = $days === [] || ! $this->kind->isOwed() ? null : Day::fromIso(min($days));
    }

    /** Sets when it is due and which discount it gives, as terms have it; in parts where they have it so. */
    public function setDueBy(Outcome $outcome): void
    {
        $amounts = $outcome->amounts($this->total());
        $this->fill([
            'due' => $outcome->due(),
            'discount_percent' => $outcome->discount === null ? null : (string) $outcome->discount->percent,
            'discount_until' => $outcome->discount?->lastDay,
            'parts' => count($outcome->parts) === 1 ? null : array_map(fn (int $at) => [$outcome->parts[$at]->due->toIso(), $amounts[$at]->minor], array_keys($outcome->parts)),
        ]);
    }

    public function discount(): ?DiscountOffer
    {
        return $this->discount_percent === null || $this->discount_until === null
            ? null
            : DiscountOffer::of(Percent::of($this->discount_percent), $this->discount_until, $this->due ?? $this->date);
    }

    /** What it is called: its number, or that it is a draft. */
    public function title(): string
    {
        return $this->kind->title().' '.($this->number ?? '(draft)');
    }

    /** @param  Builder<self>  $query */
    public function scopeOpen(Builder $query): void
    {
        // Word for word as the indexes of open documents have it; with values bound to it SQLite would not use them.
        $query->whereRaw("open_minor > 0 and state in ('issued', 'part-paid')");
    }

    /**
     * Documents that the ledger counts.
     *
     * @param Builder<self> $query
     */
    public function scopeIssued(Builder $query): void
    {
        $query->whereIn('state', [DocumentState::Issued, DocumentState::PartPaid, DocumentState::Settled]);
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

    /** @return HasMany<Settlement, $this> what lowered its open amount */
    public function settlements(): HasMany
    {
        return $this->hasMany(Settlement::class)->orderBy('id');
    }

    /** @return HasMany<Settlement, $this> what was settled by it, where it is a credit */
    public function uses(): HasMany
    {
        return $this->hasMany(Settlement::class, 'credit_id')->orderBy('id');
    }

    /** @return HasMany<DocumentEvent, $this> */
    public function events(): HasMany
    {
        return $this->hasMany(DocumentEvent::class)->orderByDesc('id');
    }
}
