<?php

declare(strict_types=1);

namespace App\Queries\Mailing;

use Almanac\Mailing\Mailing;
use Almanac\Mailing\MailingRefused;
use App\Database\Ids;
use App\Facts\Lists\Chosen;
use App\Facts\Lists\PartyList;
use App\Facts\Lists\Wanted;
use App\Facts\Mailing\Addressees;
use App\Models\User;
use App\Time\Clock;

/** Reads who of a list gets a label or an envelope, and how each reads. */
final readonly class ReadMailing
{
    public const MOST = 5000;

    public function __construct(private Addressees $addressees, private Clock $clock)
    {
    }

    /** @throws MailingRefused when it is a very long list */
    public function handle(Wanted $wanted, ?Chosen $chosen, bool $onceAHousehold, User $reader): Mailing
    {
        $list = new PartyList($this->clock, $wanted, $reader);
        $ids = $chosen === null
            ? $list->inOrder()->pluck('v.party_id')
            : $list->chosen($chosen)->orderBy('v.collated')->orderBy('v.party_id')->pluck('v.party_id');
        if ($ids->count() > self::MOST) {
            throw MailingRefused::tooMany(self::MOST);
        }

        return Mailing::to($this->addressees->of(Ids::of($ids), null), $onceAHousehold);
    }
}
