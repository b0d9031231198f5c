<?php

declare(strict_types=1);

namespace App\Queries\Records;

use Almanac\LookAlikes\Keys;
use Almanac\Reach\ContactKind;
use Almanac\Reach\EmailAddress;
use Almanac\Reach\PhoneNumber;
use Almanac\Reach\ReachRefused;
use App\Http\Data\Records\PartyLinkData;
use App\Models\Office;
use App\Models\Party;
use Illuminate\Support\Facades\DB;

/** Finds who has a phone or an email that is being typed, whatever else agrees. */
final class FindHolders
{
    private const MOST = 5;

    /** @return list<PartyLinkData> none while it is no phone and no email yet */
    public function handle(ContactKind $kind, string $typed, ?int $exceptId): array
    {
        try {
            $keys = match ($kind) {
                ContactKind::Phone => Keys::ofPhone(PhoneNumber::fromTyped($typed, Office::current()->country)->e164),
                ContactKind::Email => Keys::ofEmail(EmailAddress::fromTyped($typed)->address()),
                default => [],
            };
        } catch (ReachRefused) {
            $keys = [];
        }

        return $keys === [] ? [] : array_values(Party::query()->whereNull('archived_on')
            ->when($exceptId !== null, fn ($parties) => $parties->whereKeyNot($exceptId))
            ->whereIn('id', DB::table('look_alike_keys')->whereIn('key', $keys)->select('party_id'))
            ->filed()->limit(self::MOST)->get()->map(fn (Party $party) => PartyLinkData::of($party))->all());
    }
}
