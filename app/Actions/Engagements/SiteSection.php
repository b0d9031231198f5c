<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use Almanac\Addresses\Formatter;
use Almanac\Addresses\PostalAddress;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Actions\Records\Past;
use App\Models\Address;
use App\Models\Engagement;
use App\Models\Office;
use App\Validation\FieldProblems;

/** Where it is: the address of somebody concerned, by link, or one of its own. */
final readonly class SiteSection implements EngagementSection
{
    public function name(): SectionName
    {
        return SectionName::Site;
    }

    public function reads(): array
    {
        return ['siteAddress.owner'];
    }

    public function facts(Engagement $engagement): array
    {
        $site = $engagement->site();
        $owner = $engagement->siteAddress?->owner;

        return [
            'site' => new LoggedFact('Site', implode(', ', [
                ...($site === null ? [] : Formatter::onScreen($site, Office::current()->country)),
                ...($owner === null ? [] : ["address of $owner->display_name"]),
            ])),
            'note' => new LoggedFact('Note on the site', $engagement->site_note),
        ];
    }

    public function state(Engagement $engagement): array
    {
        $site = $engagement->site();

        return [
            'addressId' => $engagement->site_id,
            'ofPartyId' => $engagement->siteAddress?->owner_id,
            'country' => $site->country ?? '',
            'lines' => implode("\n", $site->lines ?? []),
            'locality' => $site->locality ?? '',
            'region' => $site->region ?? '',
            'postcode' => $site->postcode ?? '',
            'note' => $engagement->site_note,
        ];
    }

    public function recall(Engagement $then, array $state, Past $past): void
    {
        /**
         * @var array{
         *     addressId: int|null, ofPartyId: int|null, country: string, lines: string, locality: string, region: string,
         *     postcode: string, note: string,
         * } $state
         */
        ['addressId' => $addressId, 'ofPartyId' => $ownerId] = $state;
        $parts = $state;
        $linked = null;
        if ($addressId !== null && $ownerId !== null) {
            // The address may have been put right by whoever owns it since this was saved.
            $parts = $past->addressOf($ownerId, $addressId) ?? $state;
            $linked = $past->address($parts, $addressId, $ownerId);
        }
        $then->fill([
            'site_id' => $addressId,
            'site_note' => $state['note'],
            'site_country' => $parts['country'],
            'site_lines' => $parts['lines'],
            'site_locality' => $parts['locality'],
            'site_region' => $parts['region'],
            'site_postcode' => $parts['postcode'],
        ])->setRelation('siteAddress', $linked);
    }

    public function isPrivate(array $state): bool
    {
        return false;
    }

    public function write(Engagement $engagement, array $input): void
    {
        /**
         * @var array{
         *     addressId: int|null, country: string, lines: string, locality: string, region: string, postcode: string, note: string,
         *     isRestored?: bool,
         * } $input
         */
        $problems = new FieldProblems;
        $linked = $input['addressId'] === null ? null : Address::query()->find($input['addressId']);
        if ($input['addressId'] !== null && $linked === null && ! isset($input['isRestored'])) {
            $problems->add('addressId', 'That address is no longer kept. Type it here, or choose another.');
        }
        $postal = $linked === null ? $this->typed($input, $problems) : $linked->postal();
        $problems->throwIfAny();
        $engagement->keepSite($postal);
        $engagement->fill(['site_id' => $linked?->id, 'site_note' => trim($input['note'])])->save();
    }

    /** @param  array{country: string, lines: string, locality: string, region: string, postcode: string, ...}  $input */
    private function typed(array $input, FieldProblems $problems): ?PostalAddress
    {
        return trim($input['lines'].$input['locality'].$input['region'].$input['postcode']) === '' ? null : $problems->postal($input);
    }
}
