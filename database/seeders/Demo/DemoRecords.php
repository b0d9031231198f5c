<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

/**
 * The people and companies of the demo office. All made up: emails end in .example (RFC 2606),
 * American numbers lie in 555-0100 to 555-0199, British and German ones in the ranges that
 * the regulators set aside for drama.
 */
final class DemoRecords
{
    public const COMPANIES = [
        'observatory' => [
            'name' => ['name' => 'Penhallow Observatory', 'legal' => 'The Penhallow Observatory Trust'],
            'roles' => 'client',
            'address' => ['US', "14 Meridian Lane\nSouth Dome", 'Brattleboro', 'VT', '05301', ['postal', 'delivery']],
            'reach' => [
                ['phone', '(802) 555-0142', 'switchboard'],
                ['email', 'office@penhallow.example', 'office'],
                ['email', 'accounts@penhallow.example', 'accounts', ['invoices', 'statements']],
                ['website', 'www.penhallow.example', 'main'],
            ],
            'clientTerms' => '2/10 net 30',
        ],
        'town' => [
            'name' => ['name' => 'Town of Marlow Falls', 'legal' => ''],
            'roles' => 'client',
            'address' => ['US', '1 Town Hall Square', 'Putney', 'VT', '05346', ['postal', 'billing']],
            'reach' => [['phone', '802-555-0117', 'office'], ['email', 'clerk@marlowfalls.example', 'office', ['invoices']]],
            'clientTerms' => '10th prox, next business day',
        ],
        'parish' => [
            'name' => ['name' => 'Parish of St. Osyth', 'legal' => ''],
            'roles' => 'client',
            'address' => ['US', '8 Church Street', 'Chester', 'VT', '05143', ['postal']],
            'reach' => [['phone', '802 555 0125', 'office']],
        ],
        'insurer' => [
            'name' => ['name' => 'Harborlight Mutual', 'legal' => 'Harborlight Mutual Insurance Company'],
            'roles' => 'client',
            'address' => ['US', "200 Quayside Plaza\nSuite 900", 'Portland', 'ME', '04101', ['postal', 'billing']],
            'reach' => [['phone', '207-555-0150', 'switchboard'], ['email', 'claims@harborlight.example', 'office', ['invoices']]],
            'clientTerms' => 'net 60',
            // Before it moved, and before it took its time to pay.
            'formerly' => [
                'address' => ['US', "12 Ropewalk\nSecond floor", 'Portland', 'ME', '04101', ['postal', 'billing']],
                'reach' => [['phone', '207-555-0133', 'switchboard'], ['email', 'claims@harborlight.example', 'office']],
                'clientTerms' => 'net 30',
            ],
        ],
        'foundry' => [
            'name' => ['name' => 'Brass Lantern Foundry', 'legal' => 'Brass Lantern Foundry LLC'],
            'roles' => 'vendor',
            'address' => ['US', '77 Furnace Road', 'Keene', 'NH', '03431', ['postal', 'remit-to', 'ship-from']],
            'reach' => [
                ['phone', '603-555-0163 ext. 4', 'office'],
                ['email', 'orders@brasslantern.example', 'orders', ['orders']],
            ],
            'vendorTerms' => 'net 14',
        ],
        'timber' => [
            'name' => ['name' => 'Hollow Pine Timber Yard', 'legal' => ''],
            'roles' => 'vendor',
            'address' => ['US', '3 Sawmill Lane', 'Bennington', 'VT', '05201', ['postal', 'ship-from']],
            'reach' => [['phone', '(802) 555-0171', 'office'], ['phone', '(802) 555-0172', 'fax']],
            'vendorTerms' => 'net 15',
        ],
        'crane' => [
            'name' => ['name' => 'Coldwater Crane Hire', 'legal' => ''],
            'roles' => 'vendor',
            'reach' => [['phone', '413-555-0108', 'office'], ['email', 'yard@coldwatercrane.example', 'office']],
            'vendorTerms' => 'COD',
        ],
        'courier' => [
            'name' => ['name' => 'Swiftwing Couriers', 'legal' => ''],
            'roles' => 'client vendor',
            'address' => ['US', '19 Depot Street', 'Brattleboro', 'VT', '05301', ['postal']],
            'reach' => [['phone', '802-555-0188', 'office']],
            'vendorTerms' => '1/15 EOM net 45',
        ],
        'bellfounder' => [
            'name' => ['name' => 'Tarn & Whitlow Bellfounders', 'legal' => 'Tarn & Whitlow Bellfounders Ltd'],
            'roles' => 'vendor',
            'address' => ['GB', "Old Bell Yard\n5 Foundry Row", 'London', '', 'E1 1AA', ['postal', 'remit-to']],
            'reach' => [['phone', '020 7946 0321', 'office'], ['email', 'ledger@tarnwhitlow.example', 'accounts', ['remittances']]],
            'vendorTerms' => 'EOM + 1 month',
        ],
        'gearcutter' => [
            'name' => ['name' => 'Zahnrad Lindqvist', 'legal' => 'Zahnrad Lindqvist GmbH'],
            'roles' => 'vendor',
            'address' => ['DE', 'Räderstraße 12', 'Berlin', '', '10115', ['postal', 'remit-to']],
            'reach' => [['phone', '030 23125 417', 'office'], ['email', 'post@zahnrad-lindqvist.example', 'office']],
            'vendorTerms' => '30% on receipt, 70% net 30',
        ],
        'leather' => [
            'name' => ['name' => 'Fenwick Leather Supply', 'legal' => 'Fenwick Leather Supply Inc.'],
            'roles' => 'vendor',
            'address' => ['CA', '480 Tannery Row', 'Ottawa', 'ON', 'K1A 0B1', ['postal', 'remit-to']],
            'reach' => [['phone', '613-555-0134', 'office']],
        ],
    ];

    public const PEOPLE = [
        'augusta' => [
            'name' => ['prefix' => 'Dr.', 'given' => 'Augusta', 'family' => 'Penhallow'],
            'roles' => '', 'at' => 'observatory', 'title' => 'Director',
            'reach' => [['phone', '802-555-0143', 'direct'], ['email', 'augusta@penhallow.example', 'office']],
        ],
        'henry' => [
            'name' => ['prefix' => 'Mr.', 'given' => 'Henry', 'family' => 'Obuya'],
            'roles' => '', 'at' => 'town', 'title' => 'Town clerk',
            'reach' => [['phone', '802-555-0118', 'direct']],
        ],
        'silas' => [
            'name' => ['prefix' => 'Mr.', 'given' => 'Silas', 'middle' => 'A.', 'family' => 'Wren', 'suffix' => 'III', 'preferred' => 'Si'],
            'roles' => '', 'at' => 'foundry', 'title' => 'Foundry manager',
            'reach' => [['phone', '603-555-0164', 'mobile'], ['email', 'silas@brasslantern.example', 'office']],
        ],
        'nadia' => [
            'name' => ['prefix' => 'Ms.', 'given' => 'Nadia', 'family' => 'Petrov-Ames'],
            'roles' => '', 'at' => 'insurer', 'title' => 'Claims adjuster',
            'reach' => [['phone', '207-555-0151', 'direct'], ['email', 'nadia@harborlight.example', 'office']],
        ],
        'edith' => [
            'name' => ['prefix' => 'Mrs.', 'given' => 'Edith', 'family' => 'Larkin'],
            'roles' => 'client',
            'address' => ['US', '22 Orchard Hill', 'Grafton', 'VT', '05146', ['postal', 'home']],
            'reach' => [['phone', '802-555-0190', 'home']],
            'clientTerms' => 'net 7',
        ],
        'walter' => [
            'name' => ['prefix' => 'Mr.', 'given' => 'Walter', 'family' => 'Larkin'],
            'roles' => '', 'sameAddressAs' => 'edith',
            'reach' => [['phone', '802-555-0190', 'home'], ['phone', '802-555-0191', 'mobile']],
        ],
        'isolde' => [
            'name' => ['prefix' => 'Ms.', 'given' => 'Isolde', 'family' => 'Quill'],
            'roles' => 'vendor',
            'address' => ['US', 'Studio 6, 40 Flat Street', 'Brattleboro', 'VT', '05301', ['postal', 'remit-to']],
            'reach' => [['phone', '802-555-0155', 'mobile'], ['email', 'isolde@quillgilding.example', 'office']],
            'vendorTerms' => 'due on receipt',
        ],
        'regula' => [
            'name' => ['prefix' => 'Frau', 'given' => 'Regula', 'family' => 'Aebi-Müller'],
            'roles' => 'vendor',
            'address' => ['CH', 'Zifferweg 3', 'Zürich', '', '8001', ['postal', 'remit-to']],
            'reach' => [['email', 'atelier@aebi-zifferblatt.example', 'office']],
            'vendorTerms' => 'net 1 month',
        ],
        'misaki' => [
            'name' => ['prefix' => 'Ms.', 'given' => 'Misaki', 'family' => 'Tanaka-Løvås'],
            'roles' => '', 'at' => 'observatory', 'title' => 'Curator of instruments',
            'reach' => [['email', 'misaki@penhallow.example', 'office']],
        ],
        // Entered a second time, by the name that everybody calls him.
        'si' => [
            'name' => ['given' => 'Si', 'family' => 'Wren'],
            'roles' => '',
            'reach' => [['phone', '603-555-0164', 'mobile']],
        ],
    ];

    /** Days back from today for since and until. */
    public const POSITIONS = [
        'augusta' => [['at' => 'observatory', 'title' => 'Director', 'duties' => ['signatory'], 'primary' => true, 'since' => 2300]],
        'silas' => [
            ['at' => 'foundry', 'title' => 'Foundry manager', 'duties' => ['orders', 'technical'], 'primary' => true, 'since' => 900],
        ],
        'nadia' => [
            [
                'at' => 'insurer',
                'title' => 'Claims adjuster',
                'department' => 'Fine instruments',
                'duties' => ['site'],
                'primary' => true,
                'since' => 400,
            ],
            ['at' => 'observatory', 'title' => 'Trustee', 'since' => 1500, 'until' => 420],
        ],
        'misaki' => [['at' => 'observatory', 'title' => 'Curator of instruments', 'duties' => ['technical', 'site'], 'since' => 200]],
    ];

    /** Record; types, tags, owner (of the users), account manager, buyer, source, language, grade, codes. */
    public const CLASSIFICATIONS = [
        'observatory' => [
            ['authority'],
            ['telescopes', 'museum'],
            0,
            0,
            null,
            'recommended',
            '',
            5,
            ['their number with us' => 'OBS-1897'],
        ],
        'town' => [['authority'], ['tower clocks'], 1, 1, null, 'came by', '', 4, []],
        'parish' => [[], ['tower clocks', 'bells'], 1, 1, null, 'recommended', '', 4, []],
        'insurer' => [['insurer'], ['claims'], 0, 0, null, '', '', 3, ['our number with them' => 'PRV-20417']],
        'foundry' => [['contractor'], ['bells'], 1, null, 1, 'trade fair', '', 4, ['our number with them' => '7714']],
        'gearcutter' => [['subcontractor'], ['gears'], 1, null, 1, 'trade fair', 'de', 5, ['our number with them' => 'K-3308']],
        'isolde' => [['subcontractor'], ['gilding'], 1, null, 1, 'recommended', '', 5, []],
        'regula' => [['subcontractor'], ['dials'], 1, null, 1, 'recommended', 'de', 5, []],
        'edith' => [[], ['barometers', 'claims'], 0, 0, null, 'recommended', '', 4, []],
    ];

    /** Sheet, for whom, fields: name, kind, choices, help, needed for. */
    public const SHEETS = [
        ['Works and keys', 'company', [
            ['Keeper of the key', 'text', [], 'Whom to ring before a visit', null],
            ['Clocks and instruments', 'several-choices', ['tower clock', 'barometers', 'telescope', 'chimes'], '', null],
            ['Insured for', 'amount', [], '', null],
            ['Alarm code', 'secret', [], 'Said to nobody outside the office', null],
        ]],
        ['About them', 'person', [
            ['Interests', 'several-choices', ['astronomy', 'bells', 'horology', 'music'], 'For invitations', null],
            ['Likes to be called', 'choice', ['in the morning', 'in the afternoon', 'not at all'], '', null],
        ]],
    ];

    /** Record, and its values by field. */
    public const DETAILS = [
        'observatory' => [
            'Keeper of the key' => 'The porter, at the east gate',
            'Clocks and instruments' => "telescope\nbarometers",
            'Insured for' => '240,000',
            'Alarm code' => '1897-star',
        ],
        'parish' => ['Keeper of the key' => 'The verger; ring twice', 'Clocks and instruments' => "tower clock\nchimes"],
        'augusta' => ['Interests' => "astronomy\nhorology", 'Likes to be called' => 'in the morning'],
    ];

    /** Record, kind, country, number: made up to fit their check digits. */
    public const TAX_NUMBERS = [
        ['foundry', 'EIN', '', '91-5550142'],
        ['isolde', 'EIN', '', '91-5550155'],
        ['gearcutter', 'VAT', 'DE', 'DE999999995'],
    ];

    public const BIRTH_DATES = ['edith' => '3 Feb 1948', 'walter' => '19 Oct 1944'];

    /** Record, kind, days ago, with whom, what was said, pinned. */
    public const ENTRIES = [
        [
            'town',
            'call',
            3,
            'henry',
            'The tower clock stops at ten past four every Tuesday. Wants somebody to look before the fair.',
            false,
        ],
        ['insurer', 'letter', 6, 'nadia', 'Sent the survey of the flooded barometers, with photographs.', false],
        ['parish', 'note', 20, null, 'The key to the belfry is with the verger; ring twice.', true],
    ];

    /** Record, for which of the users, days from now, time, rule, text. */
    public const REMINDERS = [
        ['parish', 0, 0, '9:00', 'every week', 'Ask the verger whether the chime has stopped again'],
        ['town', 0, -1, '14:00', '', 'Send the estimate for the winding gear'],
        ['insurer', 0, 2, '10:00', '', 'Ring about the claim for the barometers'],
        ['edith', 0, 3, '9:30', '', 'Fetch the second barometer'],
        ['foundry', 1, 1, '9:00', 'FREQ=MONTHLY;BYDAY=2TU', 'Order castings for the month'],
    ];

    /** Record, name, kind, days from now until it expires, what is in it. */
    public const FILES = [
        [
            'isolde',
            'Certificate of insurance.txt',
            'certificate',
            25,
            "Certificate of insurance\n\nQuill Gilding, Studio 6, 40 Flat Street, Brattleboro\nMade up for the demo office.",
        ],
        [
            'observatory',
            'Loan of the transit telescope.txt',
            'contract',
            400,
            "Loan agreement\n\nBetween the Penhallow Observatory Trust and Orrery & Vane.\nMade up for the demo office.",
        ],
    ];

    /** Record, level, use, text, days from now until it ends. */
    public const CAUTIONS = [
        ['gearcutter', 'note', 'paying', 'Quotes are net of packing; check the bill against the order.', 6],
        ['courier', 'stop', 'paying', 'A parcel was damaged in August; pay nothing until the claim is settled.', null],
    ];
}
