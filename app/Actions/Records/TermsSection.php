<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Calendar\Day;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use Almanac\Terms\Shorthand;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;
use App\Facts\Terms\SideDefaults;
use App\Facts\Terms\SideFieldValues;
use App\Models\ClientTerms;
use App\Models\ListedTerms;
use App\Models\Office;
use App\Models\Party;
use App\Models\VendorTerms;
use App\Time\Clock;
use App\Validation\FieldProblems;

/** How a party is billed, or paid: payment terms from the office's list or in shorthand, and what else is its own rather than inherited. */
final readonly class TermsSection implements SectionOfNew
{
    private function __construct(private bool $isClientSide, private Day $today)
    {
    }

    public static function whenWeBillThem(): self
    {
        return new self(true, app(Clock::class)->today());
    }

    public static function whenWePayThem(): self
    {
        return new self(false, app(Clock::class)->today());
    }

    public function name(): SectionName
    {
        return $this->isClientSide ? SectionName::ClientTerms : SectionName::VendorTerms;
    }

    public function reads(): array
    {
        return [$this->isClientSide ? 'clientTerms.listed' : 'vendorTerms.listed'];
    }

    public function facts(Party $party): array
    {
        $own = $this->own($party);

        $facts = ['terms' => new LoggedFact('Payment terms', match (true) {
            $own?->listed !== null => $own->listed->name.' ('.$own->listed->shorthand.')',
            $own?->shorthand !== null => $own->shorthand,
            default => 'as the office',
        })];
        $currency = $own->currency ?? Office::current()->currency();
        foreach (SideField::of($this->side()) as $field) {
            $facts[$field->value] = new LoggedFact(
                $field->title($this->side()),
                SideFieldValues::text($field, $own?->getAttribute(SideDefaults::column($field)), $currency),
            );
        }

        return $facts;
    }

    public function state(Party $party): array
    {
        $own = $this->own($party);
        $currency = $own->currency ?? SideDefaults::of($party, $this->side(), $this->today)->currency();

        return [
            'listedId' => $own?->payment_terms_id, 'shorthand' => $own?->shorthand,
            'fields' => array_map(function (SideField $field) use ($own, $currency): array {
                $value = $own?->getAttribute(SideDefaults::column($field));

                return ['name' => $field->value, 'value' => $value === null ? null : SideFieldValues::typed($field, $value, $currency)];
            }, SideField::of($this->side())),
        ];
    }

    public function recall(Party $then, array $state, Past $past): void
    {
        /** @var array{listedId: int|null, shorthand: string|null, fields: list<array{name: string, value: string|null}>} $state */
        $own = ($this->isClientSide ? new ClientTerms : new VendorTerms)
            ->fill(['payment_terms_id' => $state['listedId'], 'shorthand' => $state['shorthand']])
            ->forceFill($this->fields($then, $state['fields'], new FieldProblems))
            ->setRelation('listed', ListedTerms::query()->find($state['listedId']));
        $then->setRelation($this->isClientSide ? 'clientTerms' : 'vendorTerms', $own);
    }

    public function isPrivate(array $state): bool
    {
        return false;
    }

    public function neighbours(Party $party, array $input): array
    {
        return [];
    }

    public function begin(Party $new, array $input, NewRecords $records): void
    {
        $own = $records->numbered($this->isClientSide ? new ClientTerms : new VendorTerms);
        $new->setRelation($this->isClientSide ? 'clientTerms' : 'vendorTerms', $own->fill(['party_id' => $new->id] + $this->read($new, $input)));
    }

    public function write(Party $party, array $input): void
    {
        $own = $this->read($party, $input);
        $kept = $this->isClientSide ? $party->clientTerms()->firstOrNew() : $party->vendorTerms()->firstOrNew();
        $kept->fill($own);
        $columns = ['payment_terms_id', 'shorthand', ...array_map(SideDefaults::column(...), SideField::of($this->side()))];
        // Terms of their own that say nothing are none.
        array_filter($kept->only($columns), fn (mixed $value) => $value !== null) === [] ? $kept->delete() : $kept->save();
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return array<string, mixed> by column
     */
    private function read(Party $party, array $input): array
    {
        /** @var array{listedId: int|null, shorthand: string|null, fields?: list<array{name: string, value: string|null}>} $input */
        $problems = new FieldProblems;
        if ($input['listedId'] !== null && ! ListedTerms::query()->whereKey($input['listedId'])->exists()) {
            $problems->add('listedId', 'Those terms are no longer in the office’s list. Choose others.');
        }
        $typed = $input['listedId'] === null ? $input['shorthand'] : null;
        $terms = $typed === null ? null : $problems->at('shorthand', fn () => Shorthand::read($typed));
        $own = $this->fields($party, $input['fields'] ?? [], $problems);
        $problems->throwIfAny();

        return ['payment_terms_id' => $input['listedId'], 'shorthand' => $terms?->toShorthand()] + $own;
    }

    /**
     * What is the party's own; null lets it be inherited again.
     *
     * @param list<array{name: string, value: string|null}> $rows
     *
     * @return array<string, mixed> by column
     */
    private function fields(Party $party, array $rows, FieldProblems $problems): array
    {
        $own = [];
        $typed = array_column($rows, 'value', 'name');
        $currency = $typed['currency'] ?? SideDefaults::of($party, $this->side(), $this->today)->currency();
        foreach (SideField::of($this->side()) as $field) {
            if (! array_key_exists($field->value, $typed)) {
                continue;
            }
            $value = $typed[$field->value];
            $own[SideDefaults::column($field)] = $value === null || trim($value) === ''
                ? null
                : $problems->at("fields.{$field->value}", fn () => SideFieldValues::read($field, $value, $currency));
        }

        return $own;
    }

    private function side(): Side
    {
        return $this->isClientSide ? Side::Client : Side::Vendor;
    }

    private function own(Party $party): ClientTerms|VendorTerms|null
    {
        return $this->isClientSide ? $party->clientTerms : $party->vendorTerms;
    }
}
