<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

/**
 * The rest of the office's book: those whom it deals with now and then. All made up, as in DemoRecords.
 */
final class DemoNeighbours
{
    /** Name, legal name, roles; country, lines, locality, region, postcode; phone, email, terms. */
    private const COMPANIES = [
        'museum' => [
            'Museum of Measured Time', 'Museum of Measured Time, Inc.', 'client',
            ['US', '90 Longitude Street', 'Boston', 'MA', '02108'], '617-555-0112', 'accounts@measuredtime.example', 'net 30',
        ],
        'museum-studio' => [
            'Measured Time Conservation Studio', '', 'client',
            ['US', '4 Sluice Mill Road', 'Waltham', 'MA', '02451'], '617-555-0114', '', '',
        ],
        'museum-annex' => [
            'Measured Time Harbor Annex', '', 'client',
            ['US', '12 Lantern Wharf', 'Salem', 'MA', '01970'], '978-555-0116', '', '',
        ],
        'kestrel' => [
            'Kestrel Hill Observatory', '', 'client',
            ['US', 'Kestrel Hill', 'Bethel', 'ME', '04217'], '207-555-0171', 'dome@kestrelhill.example', '',
        ],
        'whetstone' => [
            'Town of Whetstone Hollow', '', 'client',
            ['US', '2 Common Street', 'Windsor', 'VT', '05089'], '802-555-0126', 'clerk@whetstonehollow.example', 'net 30',
        ],
        'tannery' => [
            'Village of Tannery Bend', '', 'client',
            ['US', '17 River Row', 'Walpole', 'NH', '03608'], '603-555-0118', '', '',
        ],
        'larchmere' => [
            'City of Larchmere', '', 'client',
            ['US', '1 Municipal Plaza', 'Greenfield', 'MA', '01301'], '413-555-0130', 'payables@larchmere.example', '',
        ],
        'hallows' => [
            'Parish of All Hallows', '', 'client',
            ['US', '31 Steeple Lane', 'Keene', 'NH', '03431'], '603-555-0125', 'warden@allhallows.example', '',
        ],
        'shepherd' => [
            'Church of the Good Shepherd', '', 'client',
            ['US', '6 Corinth Mills', 'Northampton', 'MA', '01060'], '413-555-0141', '', '',
        ],
        'academy' => [
            'Bramwell Academy', '', 'client',
            ['US', '55 Schoolhouse Hill', 'Exeter', 'NH', '03833'], '603-555-0147', 'bursar@bramwell.example', '',
        ],
        'library' => [
            'Addison Street Library', '', 'client',
            ['US', '40 Addison Street', 'Middlebury', 'VT', '05753'], '802-555-0152', '', '',
        ],
        'society' => [
            'Otter Ford Historical Society', '', 'client',
            ['US', '8 Ferry Lane', 'Rutland', 'VT', '05701'], '', 'secretary@otterford.example', '',
        ],
        'fidelity' => [
            'Stonewall Fidelity', 'Stonewall Fidelity Insurance Company', 'client',
            ['US', '70 Ledger Square, Floor 12', 'Hartford', 'CT', '06103'], '860-555-0110', 'claims@stonewallfidelity.example', 'net 45',
        ],
        'counsel' => [
            'Thorne, Ibarra & Fitch', 'Thorne, Ibarra & Fitch LLP', '',
            ['US', '3 Chancery Court', 'Concord', 'NH', '03301'], '603-555-0159', 'estates@thorneibarra.example', '',
        ],
        'auctions' => [
            'Pellingham Auctions', '', 'client',
            ['US', '118 Gavel Street', 'Providence', 'RI', '02903'], '401-555-0133', 'clocks@pellingham.example', '',
        ],
        'valmont' => [
            'Musée des Horloges de Valmont', '', 'client',
            ['FR', '3 rue du Cadran', 'Besançon', '', '25000'], '+33 3 53 01 00 12', 'conservation@valmont.example', '',
        ],
        'hohenfels' => [
            'Sternwarte Hohenfels', '', 'client',
            ['AT', 'Sternweg 9', 'Graz', '', '8010'], '', 'leitung@hohenfels.example', '',
        ],
        'uurwerken' => [
            'Stichting Oude Uurwerken', '', 'client',
            ['NL', 'Slingerkade 21', 'Haarlem', '', '2011 AA'], '', 'bestuur@uurwerken.example', '',
        ],
        'power' => [
            'Valley Light & Power', '', 'vendor',
            ['US', 'PO Box 800', 'Springfield', 'MA', '01103'], '413-555-0180', '', 'net 20',
        ],
        'water' => [
            'Whetstone Water District', '', 'vendor',
            ['US', '9 Reservoir Road', 'Brattleboro', 'VT', '05301'], '802-555-0161', '', 'net 30',
        ],
        'telephone' => [
            'Three Rivers Telephone', '', 'vendor',
            ['US', '200 Switchboard Way', 'Burlington', 'VT', '05401'], '802-555-0107', 'billing@threerivers.example', 'net 15',
        ],
        'freight' => [
            'Longmeadow Freight', '', 'vendor',
            ['US', '61 Haulage Road', 'Worcester', 'MA', '01608'], '508-555-0120', '', 'net 30',
        ],
        'rigging' => [
            'High Reach Crane & Rigging', 'High Reach Crane & Rigging LLC', 'vendor',
            ['US', '5 Boom Yard', 'Manchester', 'NH', '03101'], '603-555-0181', 'hire@highreach.example', 'net 14',
        ],
        'stationer' => [
            'Inkwell Office Supply', '', 'vendor',
            ['US', '14 Blotter Street', 'Brattleboro', 'VT', '05301'], '802-555-0165', '', 'net 30',
        ],
        'chemist' => [
            'Meridian Chemical Supply', '', 'vendor',
            ['US', '77 Retort Drive', 'Nashua', 'NH', '03060'], '603-555-0183', '', 'net 30',
        ],
        'glass' => [
            'Clearwater Glass Works', '', 'vendor',
            ['US', '28 Kiln Street', 'Albany', 'NY', '12207'], '518-555-0127', '', '2/10 net 30',
        ],
        'silversmith' => [
            'Lund & Daughter Silversmiths', '', 'vendor',
            ['US', '7 Hallmark Lane', 'Newport', 'RI', '02840'], '401-555-0144', '', 'net 30',
        ],
        'cabinet' => [
            'Alder & Ash Cabinetmakers', '', 'vendor',
            ['US', '19 Dovetail Road', 'White River Junction', 'VT', '05001'], '802-555-0167', '', 'net 30',
        ],
        'springs' => [
            'Mainspring Manufacturing', 'Mainspring Manufacturing Corp.', 'vendor',
            ['US', '300 Coil Avenue', 'Waterbury', 'CT', '06702'], '203-555-0119', 'orders@mainspring.example', 'net 30',
        ],
        'steel' => [
            'Quarry City Tool Steel', '', 'vendor',
            ['US', '41 Anvil Street', 'Barre', 'VT', '05641'], '802-555-0169', '', 'net 30',
        ],
        'ropewalk' => [
            'Old Harbor Ropewalk', '', 'vendor',
            ['US', '2 Hawser Wharf', 'New Bedford', 'MA', '02740'], '508-555-0122', '', 'COD',
        ],
        'broker' => [
            'Bellweather Insurance Agency', '', 'vendor',
            ['US', '33 Premium Place', 'Brattleboro', 'VT', '05301'], '802-555-0173', '', 'due on receipt',
        ],
        'accountant' => [
            'Quimby & Rhodes', 'Quimby & Rhodes, CPAs', 'vendor',
            ['US', '12 Audit Alley', 'Montpelier', 'VT', '05602'], '802-555-0175', 'books@quimbyrhodes.example', 'net 30',
        ],
        'landlord' => [
            'Escapement Lane Properties', '', 'vendor',
            ['US', '1 Escapement Lane', 'Brattleboro', 'VT', '05301'], '802-555-0108', '', 'due on receipt',
        ],
        'cleaner' => [
            'Bright Morning Cleaning', '', 'vendor',
            [], '802-555-0109', '', 'net 7',
        ],
        'fuel' => [
            'Northfield Fuel', '', 'vendor',
            ['US', '80 Tank Farm Road', 'Claremont', 'NH', '03743'], '603-555-0185', '', 'net 10',
        ],
        'recycling' => [
            'Mill Brook Recycling', '', 'vendor',
            ['US', '6 Baler Road', 'Bellows Falls', 'VT', '05101'], '802-555-0181', '', 'net 30',
        ],
        'crystals' => [
            'Uhrglas Reinholt', 'Uhrglas Reinholt GmbH', 'vendor',
            ['DE', 'Glasgasse 4', 'Pforzheim', '', '75175'], '', 'verkauf@uhrglas-reinholt.example', 'net 30',
        ],
        // Entered a second time, by somebody who did not look first.
        'museum-again' => [
            'Measured Time Museum', '', '',
            ['US', '90 Longitude St.', 'Boston', 'MA', '02108'], '617-555-0112', '', '',
        ],
    ];

    /** Title, given name, family name, what stands behind it, roles, company, title there; address, phone, email. */
    private const PEOPLE = [
        'ottilie' => [
            'Dr.', 'Ottilie', 'Brandvold', '', '', 'museum', 'Keeper of clocks',
            [], '617-555-0113', 'ottilie@measuredtime.example',
        ],
        'desmond' => [
            'Mr.', 'Desmond', 'Achterberg', '', '', 'museum-studio', 'Conservator',
            [], '617-555-0115', '',
        ],
        'priya' => [
            'Ms.', 'Priya', 'Venkataraman', '', '', 'museum-annex', 'Registrar',
            [], '', 'priya@measuredtime.example',
        ],
        'lowell' => [
            'Mr.', 'Lowell', 'Tamarack', '', '', 'kestrel', 'Director',
            [], '207-555-0172', '',
        ],
        'marguerite' => [
            'Ms.', 'Marguerite', 'Ouellette', '', '', 'whetstone', 'Town clerk',
            [], '802-555-0127', '',
        ],
        'calvin' => [
            'Mr.', 'Calvin', 'Rosewarne', '', '', 'tannery', 'Clerk',
            [], '', '',
        ],
        'imani' => [
            'Ms.', 'Imani', 'Castellanos', '', '', 'larchmere', 'Facilities manager',
            [], '413-555-0131', 'imani@larchmere.example',
        ],
        'winifred' => [
            'Rev.', 'Winifred', 'Dacosta', '', '', 'hallows', 'Rector',
            [], '603-555-0126', '',
        ],
        'gideon' => [
            'Mr.', 'Gideon', 'Pruitt', '', '', 'shepherd', 'Sexton',
            [], '', '',
        ],
        'helene' => [
            'Mrs.', 'Helene', 'Varga-Smythe', '', '', 'academy', 'Bursar',
            [], '', 'helene@bramwell.example',
        ],
        'rufus' => [
            'Mr.', 'Rufus', 'Okonjo', '', '', 'library', 'Librarian',
            [], '802-555-0153', '',
        ],
        'adela' => [
            'Ms.', 'Adela', 'Ristori', '', '', 'society', 'Secretary',
            [], '', '',
        ],
        'burke' => [
            'Mr.', 'Burke', 'Halvorsen', '', '', 'fidelity', 'Claims adjuster',
            [], '860-555-0111', 'burke@stonewallfidelity.example',
        ],
        'fitch' => [
            'Ms.', 'Leonora', 'Fitch', '', '', 'counsel', 'Partner',
            [], '603-555-0160', 'lfitch@thorneibarra.example',
        ],
        'pell' => [
            'Mr.', 'Ambrose', 'Pellingham', '', '', 'auctions', 'Auctioneer',
            [], '401-555-0134', '',
        ],
        'celestine' => [
            'Mme', 'Célestine', 'de la Tour-Rémy', '', '', 'valmont', 'Conservatrice',
            [], '', 'celestine@valmont.example',
        ],
        'gunther' => [
            'Dr.', 'Günther', 'Ölschläger', '', '', 'hohenfels', 'Leiter',
            [], '', '',
        ],
        'saskia' => [
            'Mevr.', 'Saskia', 'van der Wijngaard', '', '', 'uurwerken', 'Secretaris',
            [], '', '',
        ],
        'dolores' => [
            'Ms.', 'Dolores', 'Inskip', '', '', 'rigging', 'Dispatcher',
            [], '603-555-0182', '',
        ],
        'torsten' => [
            'Mr.', 'Torsten', 'Lund', '', '', 'silversmith', 'Owner',
            [], '', '',
        ],
        'opal' => [
            'Ms.', 'Opal', 'Quimby', '', '', 'accountant', 'Partner',
            [], '', 'opal@quimbyrhodes.example',
        ],
        'philippa' => [
            'Mrs.', 'Philippa', 'Sterne', '', 'client', '', '',
            ['US', '60 Gable Road', 'Woodstock', 'VT', '05091'], '802-555-0192', '',
        ],
        'olu' => [
            'Mr.', 'Olu', 'Adeyemi-Clarke', '', 'client', '', '',
            ['US', '9 Beacon Terrace', 'Cambridge', 'MA', '02139'], '617-555-0117', 'olu@adeyemi-clarke.example',
        ],
        'ines' => [
            'Dr.', 'Inês', 'Carvalho', '', 'client', '', '',
            ['US', '301 College Hill', 'Hanover', 'NH', '03755'], '', 'ines@carvalho.example',
        ],
        // Father and son at one number: they are two, and look like one.
        'amos' => [
            'Mr.', 'Amos', 'Fairbairn', '', 'client', '', '',
            ['US', '14 Quarry Road', 'Stowe', 'VT', '05672'], '802-555-0194', '',
        ],
        'amos-son' => [
            'Mr.', 'Amos', 'Fairbairn', 'Jr.', 'client', '', '',
            [], '802-555-0194', '',
        ],
        'beatrix' => [
            'Ms.', 'Beatrix', 'Holloway', '', 'client', '', '',
            ['US', '77 Tidewater Lane', 'Mystic', 'CT', '06355'], '', 'beatrix@holloway.example',
        ],
        'kipling' => [
            'Mr.', 'Bartholomew', 'Kipling-Reyes', '', 'client', '', '',
            ['US', '5 Orchard Walk', 'Saratoga Springs', 'NY', '12866'], '518-555-0128', '',
        ],
        'yuki' => [
            'Ms.', 'Yuki', 'Arakawa', '', 'client', '', '',
            ['US', '210 Maple Court', 'Amherst', 'MA', '01002'], '', 'yuki@arakawa.example',
        ],
        'torvald' => [
            'Mr.', 'Torvald', 'Åkesson', '', 'client', '', '',
            ['US', '18 Spruce Point', 'Camden', 'ME', '04843'], '207-555-0174', '',
        ],
        'delphine' => [
            'Mrs.', 'Delphine', 'Marchetti', '', 'client', '', '',
            ['US', '3 Vineyard Street', 'Bristol', 'RI', '02809'], '401-555-0146', '',
        ],
    ];

    /** As in DemoRecords: types, tags, owner, account manager, buyer, source, language, grade, codes. */
    public const CLASSIFICATIONS = [
        'museum' => [['authority'], ['museum', 'tower clocks'], 0, 0, null, 'recommended', '', 5, []],
        'museum-studio' => [['authority'], ['museum'], 0, 0, null, 'recommended', '', 4, []],
        'museum-annex' => [['authority'], ['museum', 'barometers'], 0, 0, null, 'recommended', '', 3, []],
        'kestrel' => [['authority'], ['telescopes'], 0, 0, null, 'trade fair', '', 4, []],
        'whetstone' => [['authority'], ['tower clocks'], 1, 1, null, 'recommended', '', 3, []],
        'tannery' => [['authority'], ['tower clocks'], 1, 1, null, 'came by', '', 2, []],
        'larchmere' => [['authority'], ['tower clocks', 'bells'], 1, 1, null, 'trade fair', '', 4, []],
        'hallows' => [[], ['bells'], 1, 1, null, 'recommended', '', 3, []],
        'shepherd' => [[], ['bells', 'tower clocks'], 1, 1, null, 'recommended', '', 3, []],
        'academy' => [[], ['bells'], 1, 1, null, 'recommended', '', 4, []],
        'library' => [['authority'], ['barometers'], 0, 0, null, 'came by', '', 2, []],
        'society' => [[], ['museum'], 0, 0, null, 'came by', '', 3, []],
        'fidelity' => [['insurer'], ['claims'], 0, 0, null, 'recommended', '', 3, ['our number with them' => 'SF-7730']],
        'auctions' => [[], ['barometers'], 0, 0, null, 'trade fair', '', 3, []],
        'valmont' => [['authority'], ['museum'], 0, 0, null, 'trade fair', 'fr', 4, []],
        'hohenfels' => [['authority'], ['telescopes'], 0, 0, null, 'trade fair', 'de', 3, []],
        'uurwerken' => [['authority'], ['museum', 'tower clocks'], 0, 0, null, 'recommended', 'nl', 3, []],
        'rigging' => [['contractor'], ['tower clocks'], 1, null, 1, 'recommended', '', 4, []],
        'silversmith' => [['subcontractor'], ['dials'], 1, null, 1, 'recommended', '', 5, []],
        'cabinet' => [['subcontractor'], ['barometers'], 1, null, 1, 'came by', '', 4, []],
        'springs' => [['contractor'], ['gears'], 1, null, 1, 'trade fair', '', 4, ['our number with them' => 'OV-118']],
        'crystals' => [['contractor'], ['dials'], 1, null, 1, 'trade fair', 'de', 3, []],
        'philippa' => [[], ['barometers'], 0, 0, null, 'recommended', '', 4, []],
        'olu' => [[], ['telescopes'], 0, 0, null, 'came by', '', 3, []],
        'ines' => [[], ['telescopes'], 0, 0, null, 'recommended', '', 3, []],
        'torvald' => [[], ['barometers'], 0, 0, null, 'trade fair', '', 2, []],
    ];

    public const DETAILS = [
        'museum' => [
            'Keeper of the key' => 'Security desk, side door',
            'Clocks and instruments' => "tower clock\nbarometers\ntelescope", 'Insured for' => '1,200,000',
        ],
        'kestrel' => [
            'Keeper of the key' => 'The director, by appointment', 'Clocks and instruments' => 'telescope', 'Insured for' => '95,000',
        ],
        'larchmere' => ['Keeper of the key' => 'Facilities, second floor', 'Clocks and instruments' => "tower clock\nchimes"],
        'shepherd' => ['Keeper of the key' => 'The sexton', 'Clocks and instruments' => "tower clock\nchimes"],
        'ottilie' => ['Interests' => "horology\nmusic", 'Likes to be called' => 'in the afternoon'],
        'lowell' => ['Interests' => 'astronomy', 'Likes to be called' => 'in the morning'],
        'philippa' => ['Interests' => "bells\nmusic"],
        'torvald' => ['Interests' => 'horology', 'Likes to be called' => 'not at all'],
    ];

    /** Who wants no letters: since how many days, and how they said so. */
    public const NO_LETTERS = ['auctions' => [61, 'by phone'], 'society' => [20, 'on the back of our last one']];

    public const BIRTH_DATES = ['amos-son' => '2 Jul 1970', 'philippa' => '30 Aug 1955'];

    /** From whom, kind, days back, what, the price, account; under which number of theirs, where it is a bill. All of it is paid. */
    public const DOCUMENTS = [
        ['museum', 'invoice', 260, 'Longitude regulator: cleaning and bushing', '2980', '4000', ''],
        ['museum', 'invoice', 150, 'Marine chronometer: escapement repair', '1640', '4100', ''],
        ['museum-studio', 'invoice', 190, 'Loan of the wheel-cutting engine', '420', '4200', ''],
        ['kestrel', 'invoice', 205, 'Equatorial drive: overhaul', '3350', '4100', ''],
        ['whetstone', 'invoice', 240, 'Tower clock: new hands', '1180', '4000', ''],
        ['larchmere', 'invoice', 170, 'City hall clock: yearly care', '960', '4000', ''],
        ['hallows', 'invoice', 140, 'Bell clapper: refit', '540', '4000', ''],
        ['academy', 'invoice', 220, 'School bell: wheel and rope', '1275', '4000', ''],
        ['fidelity', 'invoice', 130, 'Survey of a cracked dial', '650', '4200', ''],
        ['auctions', 'invoice', 115, 'Condition report, nine barometers', '810', '4200', ''],
        ['philippa', 'invoice', 100, 'Stick barometer: refill', '385', '4100', ''],
        ['torvald', 'invoice', 95, 'Ship’s clock: service', '295', '4000', ''],
        ['power', 'bill', 210, 'Electricity', '212', '5300', 'VL-4410'],
        ['power', 'bill', 120, 'Electricity', '198', '5300', 'VL-4962'],
        ['water', 'bill', 200, 'Water', '64', '5300', 'W-118'],
        ['telephone', 'bill', 180, 'Telephone and line', '139', '5300', 'TR-20931'],
        ['telephone', 'bill', 90, 'Telephone and line', '142', '5300', 'TR-23318'],
        ['freight', 'bill', 160, 'Carriage of a turret movement', '480', '5300', 'LF-771'],
        ['rigging', 'bill', 145, 'Crane for a day', '1450', '5200', 'HR-2207'],
        ['stationer', 'bill', 110, 'Paper and files', '86', '5300', 'IN-5519'],
        ['chemist', 'bill', 135, 'Solvents and waxes', '233', '5000', 'MC-8802'],
        ['glass', 'bill', 125, 'Dome, hand blown', '390', '5000', 'CG-0415'],
        ['silversmith', 'bill', 155, 'Silvering of two dials', '720', '5200', 'LD-93'],
        ['cabinet', 'bill', 185, 'Case repairs', '1090', '5200', 'AA-310'],
        ['springs', 'bill', 165, 'Mainsprings', '305', '5000', 'MM-6640'],
        ['steel', 'bill', 105, 'Silver steel', '128', '5000', 'QC-1182'],
        ['accountant', 'bill', 230, 'Yearly accounts', '1800', '5300', 'QR-55'],
        ['landlord', 'bill', 60, 'Rent', '2100', '5300', 'EL-11'],
        ['landlord', 'bill', 30, 'Rent', '2100', '5300', 'EL-12'],
        ['fuel', 'bill', 250, 'Heating oil', '640', '5300', 'NF-3021'],
        ['crystals', 'bill', 175, 'Watch glasses', '260', '5000', 'UR-9077'],
    ];

    /** Lists under names that everybody has: name, sentence, sort, view, counted by. */
    public const LISTS = [
        ['Museums', 'clients tagged museum', '', 'cards', ''],
        ['Vendors without a tax number', 'vendors without a tax number, paid this year', '', 'table', ''],
        ['Where clients come from', 'clients', '', 'counted', 'source'],
    ];

    /** @return array<string, array<string, mixed>> as in DemoRecords */
    public static function companies(): array
    {
        return array_map(function (array $row): array {
            [$name, $legal, $roles, $address, $phone, $email, $terms] = $row;
            $uses = str_contains($roles, 'vendor') ? ['postal', 'remit-to'] : ['postal'];

            return [
                'name' => ['name' => $name, 'legal' => $legal],
                'roles' => $roles,
                ...$terms === '' ? [] : [str_contains($roles, 'vendor') ? 'vendorTerms' : 'clientTerms' => $terms],
                ...self::found($address, $uses, $phone, $email, 'office'),
            ];
        }, self::COMPANIES);
    }

    /** @return array<string, array<string, mixed>> as in DemoRecords */
    public static function people(): array
    {
        $people = array_map(function (array $row): array {
            [$prefix, $given, $family, $suffix, $roles, $at, $title, $address, $phone, $email] = $row;

            return [
                'name' => array_filter(['prefix' => $prefix, 'given' => $given, 'family' => $family, 'suffix' => $suffix]),
                'roles' => $roles,
                'title' => $title,
                ...$at === '' ? [] : ['at' => $at],
                ...self::found($address, ['postal', 'home'], $phone, $email, $at === '' ? 'home' : 'direct'),
            ];
        }, self::PEOPLE);
        $people['amos-son']['sameAddressAs'] = 'amos';

        return $people;
    }

    /**
     * @param list<string> $address
     * @param list<string> $uses
     *
     * @return array<string, mixed>
     */
    private static function found(array $address, array $uses, string $phone, string $email, string $label): array
    {
        return [
            ...$address === [] ? [] : ['address' => [...$address, $uses]],
            'reach' => [
                ...$phone === '' ? [] : [['phone', $phone, $label]],
                ...$email === '' ? [] : [['email', $email, 'office']],
            ],
        ];
    }
}
