<?php

declare(strict_types=1);

namespace App\Outside;

use Almanac\Banking\CardNumber;
use App\Models\Values\Fingerprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * A small stand-in for a vault of cards, which ships with the application: it takes a number and
 * gives a token for it, the same for the same card. It keeps a fingerprint, and no number.
 */
final class CardVault
{
    public function tokenFor(#[\SensitiveParameter] CardNumber $number): string
    {
        $fingerprint = Fingerprint::of('card|'.$number->digits);
        DB::table('vault_tokens')->insertOrIgnore(['fingerprint' => $fingerprint, 'token' => 'card_'.Str::random(32)]);
        $token = DB::table('vault_tokens')->where('fingerprint', $fingerprint)->value('token');

        return is_string($token) ? $token : throw new \LogicException('What was kept is there.');
    }
}
