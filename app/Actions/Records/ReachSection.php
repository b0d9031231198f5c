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
use Almanac\Records\Fact;
use App\Models\ContactPoint;
use App\Models\Office;
use App\Models\Party;
use App\Support\FieldProblems;
use App\Support\SectionName;

/** Phones, emails and websites of a party, one primary of each kind. */
final class ReachSection implements Section
{
    public function name(): SectionName
    {
        return SectionName::Reach;
    }

    public function snapshot(Party $party): array
    {
        $home = Office::current()->country;
        $facts = [];
        $party->load('contactPoints.source.party', 'contactPoints.addressUse.address');
        foreach ($party->contactPoints as $point) {
            $facts['contact:'.$point->id] = new Fact($point->kind->label(), implode(', ', array_filter([
                $point->display($home),
                $point->label,
                $point->at() === '' ? '' : 'at '.$point->at(),
                $point->is_primary ? 'primary' : '',
                ...$point->uses->map(fn (ContactUse $use) => 'for '.$use->value)->all(),
                $point->source === null ? '' : 'same as '.$point->source->party->display_name,
            ])));
        }

        return $facts;
    }

    public function neighbours(Party $party): array
    {
        $own = ContactPoint::query()->select('id')->where('party_id', $party->id);

        return array_values(Party::query()->whereIn('id', ContactPoint::query()->select('party_id')->whereIn('same_as_id', $own))->get()->all());
    }

    public function write(Party $party, array $input): void
    {
        /** @var list<array{id: int|null, kind: string, value: string, label: string, uses: list<string>, isPrimary: bool, isLinked: bool, addressUseId: int|null}> $rows */
        $rows = $input['contactPoints'];
        $kept = $party->contactPoints->keyBy('id');
        $region = $this->region($party);
        $problems = new FieldProblems;
        $primaries = Primaries::settle(array_map(fn (array $row) => [$row['kind'], $row['isPrimary']], $rows));

        $points = [];
        foreach ($rows as $rank => $row) {
            $point = $kept->get($row['id']) ?? new ContactPoint(['party_id' => $party->id]);
            $this->setValue($point, ContactKind::from($row['kind']), $row['value'], $region, "contactPoints.$rank.value", $problems);
            if (! $row['isLinked'] || $point->isDirty('value')) {
                $point->same_as_id = null;
            }
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

        $party->contactPoints()->whereNotIn('id', array_filter(array_column($rows, 'id')))->delete();
        foreach ($points as $point) {
            $point->save();
            // Whoever uses it by link has it as it is now.
            ContactPoint::query()->where('same_as_id', $point->id)->update($point->only('typed', 'value', 'extension', 'is_unusual'));
        }
    }

    /** Where a number without + is dialled: the party's own country, else the office's. */
    private function region(Party $party): string
    {
        $party->load('addressUses.address');

        return $party->addressUses->first()?->address->country ?? Office::current()->country;
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
