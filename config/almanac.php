<?php

declare(strict_types=1);

return [
    /*
     * The day that counts as today, as in 2026-11-24. Empty means the calendar's own. Tests and
     * pictures pin it.
     */
    'today' => env('ALMANAC_TODAY'),

    /* Sign-in attempts allowed per minute for one email from one address. */
    'sign_in_attempts' => (int) env('ALMANAC_SIGN_IN_ATTEMPTS', 5),
];
