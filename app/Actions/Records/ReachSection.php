<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Reach\ContactKind;
use Almanac\Reach\ContactUse;
use Almanac\Reach\EmailAddress;
use Almanac\Reach\Handle;
use Almanac\Reach\PhoneNumber;
use Almanac\Reach\Primaries;
use Almanac\Reach\WebAddress;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Models\ContactPoint;
use App\Models\Office;
use App\Models\Party;
use App\Time\Clock;
use App\Validation\FieldProblems;
use Illuminate\Database\Eloquent\Collection;

/** Phones, emails and websites of a party, one primary of each kind. */
final readonly class ReachSection implements SectionOfNew
{
    public function __construct(private Clock $clock)
    {
    }

    public function name(): SectionName
    {
        return SectionName::Reach;
    }

    public function reads(): array
    {
        return ['contactPoints.source.party', 'contactPoints.addressUse.address'];
    }

    public function facts(Party $party): array
    {
        $home = Office::current()->country;
        $facts = [];
        foreach ($party->contactPoints as $point) {
            $facts['contact:'.$point->id] = new LoggedFact($point->kind->label(), implode(', ', array_filter([
                $point->display($home),
                $point->label,
                $point->at() === '' ? '' : 'at '.$point->at(),
                $point->is_primary ? 'primary' : '',
                ...$point->uses->map(fn (ContactUse $use) => 'for '.$use->title())->all(),
                $point->source === null ? '' : 'same as '.$point->source->party->display_name,
            ])));
        }

        return $facts;
    }

    public function state(Party $party): array
    {
        return ['contactPoints' => array_values($party->contactPoints->map(fn (ContactPoint $point) => [
            'id' => $point->id, 'kind' => $point->kind->value, 'value' => $point->typed, 'label' => $point->label,
            'uses' => array_values($point->uses->map(fn (ContactUse $use) => $use->value)->all()),
            'isPrimary' => $point->is_primary, 'sameAsId' => $point->same_as_id,
            'ofPartyId' => $point->source?->party_id, 'addressUseId' => $point->address_use_id,
            'read' => $point->only('value', 'extension', 'is_unusual'),
        ])->all())];
    }

    public function recall(Party $then, array $state, Past $past): void
    {
        /**
         * @var list<array{
         *     id: int, kind: string, value: string, label: string, uses: list<string>, isPrimary: bool, sameAsId: int|null,
         *     ofPartyId: int|null, addressUseId: int|null, read: array{value: string, extension: string, is_unusual: bool},
         * }> $rows
         */
        $rows = $state['contactPoints'];
        $then->setRelation('contactPoints', new Collection(array_map(function (array $row) use ($then, $past): ContactPoint {
            $source = $row['ofPartyId'] === null ? null : (new ContactPoint)->setRelation('party', $past->party($row['ofPartyId']));

            return (new ContactPoint([
                'id' => $row['id'],
                'party_id' => $then->id,
                'kind' => $row['kind'],
                'typed' => $row['value'],
                'label' => $row['label'],
                'uses' => array_map(ContactUse::from(...), $row['uses']),
                'is_primary' => $row['isPrimary'],
                'same_as_id' => $row['sameAsId'],
                'address_use_id' => $row['addressUseId'],
            ] + $row['read']))
                ->setRelation('source', $source)
                ->setRelation('addressUse', $then->addressUses->firstWhere('id', $row['addressUseId']));
        }, $rows)));
    }

    public function isPrivate(array $state): bool
    {
        return false;
    }

    public function neighbours(Party $party, array $input): array
    {
        $own = ContactPoint::query()->select('id')->where('party_id', $party->id);

        return array_values(Party::query()->whereIn('id', ContactPoint::query()->select('party_id')->whereIn('same_as_id', $own))->get()
            ->map(fn (Party $other) => SectionOf::party($this, $other))->all());
    }

    public function begin(Party $new, array $input, NewRecords $records): void
    {
        $points = array_map($records->numbered(...), $this->read($new, $input));
        $new->setRelation('contactPoints', new Collection($points));
    }

    public function write(Party $party, array $input): void
    {
        $kept = $party->contactPoints;
        $points = $this->read($party->loadMissing('addressUses.address'), $input);
        $known = array_column(array_filter($points, fn (ContactPoint $point) => $point->getKey() !== null), null, 'id');
        KeptRow::deleteBut($kept, array_keys($known));
        KeptRow::saveAll($points);
        // Whoever uses one by link has it as it is now.
        $linked = ContactPoint::query()->whereIntegerInRaw('same_as_id', array_keys($known))->distinct()->pluck('same_as_id')->all();
        foreach (array_intersect_key($known, array_flip($linked)) as $point) {
            ContactPoint::query()->where('same_as_id', $point->id)->update($point->only('typed', 'value', 'extension', 'is_unusual'));
        }
    }

    /**
     * @param Party $party with its addresses
     * @param array<string, mixed> $input
     *
     * @return list<ContactPoint>
     */
    private function read(Party $party, array $input): array
    {
        /**
         * @var list<array{
         *     id: int|null, kind: string, value: string, label: string, uses: list<string>, isPrimary: bool,
         *     sameAsId: int|null, addressUseId: int|null, read?: array{value: string, extension: string, is_unusual: bool},
         * }> $rows
         */
        $rows = $input['contactPoints'];
        $kept = $party->contactPoints->keyBy('id');
        // Where a number without + is dialled: the party's own country, else the office's.
        $region = $party->countryOn($this->clock->today()) ?? Office::current()->country;
        $isRestored = isset($input['isRestored']);
        $problems = new FieldProblems;
        $primaries = Primaries::settle(array_map(fn (array $row) => [$row['kind'], $row['isPrimary']], $rows));

        $points = [];
        foreach ($rows as $rank => $row) {
            $point = KeptRow::of($kept, $row['id'], new ContactPoint(['party_id' => $party->id]), $isRestored);
            if ($isRestored && isset($row['read'])) {
                // It was read when it was typed, wherever they were then.
                $point->fill(['kind' => $row['kind'], 'typed' => $row['value']] + $row['read']);
            } else {
                $this->setValue($point, ContactKind::from($row['kind']), $row['value'], $region, "contactPoints.$rank.value", $problems);
            }
            $point->same_as_id = $row['sameAsId'] === null ? null : $this->source($row['sameAsId'], $point)?->id;
            if ($row['addressUseId'] !== null && ! $party->addressUses->contains('id', $row['addressUseId'])) {
                $problems->add("contactPoints.$rank.addressUseId", 'That address is no longer kept. Choose another.');
            }
            $points[] = $point->fill([
                'address_use_id' => $row['addressUseId'],
                'label' => trim($row['label']),
                'uses' => array_map(ContactUse::from(...), array_values(array_unique($row['uses']))),
                'is_primary' => $primaries[$rank],
                'rank' => $rank,
            ]);
        }
        $problems->throwIfAny();

        return $points;
    }

    /**
     * The one of another record that it is used from by link; a link to a link is a link to its source, and one that
     * is another by now is none.
     */
    private function source(int $id, ContactPoint $point): ?ContactPoint
    {
        $named = ContactPoint::query()->with('source')->find($id);
        $source = $named->source ?? $named;

        return $source !== null &&
            $source->party_id !== $point->party_id &&
            $source->kind === $point->kind &&
            $source->value === $point->value &&
            $source->extension === $point->extension
            ? $source
            : null;
    }

    private function setValue(
        ContactPoint $point,
        ContactKind $kind,
        string $typed,
        string $region,
        string $field,
        FieldProblems $problems,
    ): void {
        if ($point->exists && $point->kind === $kind && $point->typed === trim($typed)) {
            // Read once, when it was typed: a later move abroad must not turn it into another number.
            return;
        }
        $point->kind = $kind;
        $problems->at($field, fn () => match ($kind) {
            ContactKind::Phone => $point->setPhone(PhoneNumber::fromTyped($typed, $region)),
            ContactKind::Email => $point->setEmail(EmailAddress::fromTyped($typed)),
            ContactKind::Website, ContactKind::Profile => $point->setWebsite(WebAddress::fromTyped($typed)),
            ContactKind::Handle => $point->setHandle(Handle::fromTyped($typed)),
        });
    }
}
