<?php

declare(strict_types=1);

return [
    /*
     * The day that counts as today, as in 2026-11-24. Empty means the calendar's own. Tests and
     * pictures pin it.
     */
    'today' => env('ALMANAC_TODAY'),

    /* Where the places of the ZIP codes lie, a file for each first two figures; made when the front end is built. */
    'zips' => env('ALMANAC_ZIPS', public_path('build/zips')),

    /* Where the stand-in of an address book elsewhere is served beside the demo office; empty for none. */
    'book_elsewhere' => env('ALMANAC_BOOK_ELSEWHERE', ''),

    /* Encrypts nightly backups and those that Office makes; empty leaves them unencrypted, beside the database that is. */
    'backup_passphrase' => env('ALMANAC_BACKUP_PASSPHRASE', ''),

    /* Failed sign-ins of one account from one address after which each further one has to wait, longer each time. */
    'sign_in_attempts' => (int) env('ALMANAC_SIGN_IN_ATTEMPTS', 5),
];
