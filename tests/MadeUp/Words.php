<?php

declare(strict_types=1);

namespace Tests\MadeUp;

/** What made-up books are made of. Names as one meets them, and nobody's in particular. */
final class Words
{
    public const MEN = [
        'James', 'John', 'Robert', 'Michael', 'William', 'David', 'Richard', 'Joseph', 'Thomas', 'Charles', 'Christopher',
        'Daniel', 'Matthew',
        'Anthony', 'Mark', 'Donald', 'Steven', 'Paul', 'Andrew', 'Joshua', 'Kenneth', 'Kevin', 'Brian', 'George', 'Timothy',
        'Ronald', 'Edward',
        'Jason', 'Jeffrey', 'Ryan', 'Jacob', 'Gary', 'Nicholas', 'Eric', 'Jonathan', 'Stephen', 'Larry', 'Justin', 'Scott',
        'Brandon', 'Benjamin',
        'Samuel', 'Gregory', 'Alexander', 'Frank', 'Patrick', 'Raymond', 'Jack', 'Dennis', 'Jerry', 'Walter', 'Silas',
        'Henry', 'Albert', 'Carl',
        'Arthur', 'Lawrence', 'Dylan', 'Jesse', 'Alan', 'Ralph', 'Eugene', 'Russell', 'Bobby', 'Philip', 'Harry', 'Vincent',
        'Ernest', 'Martin',
        'Karl', 'Jean', 'Marcel', 'Luis', 'Pedro', 'Giovanni', 'Hiroshi', 'Dmitri', 'Ahmed', 'Rajiv', 'Søren', 'Łukasz',
        'José', 'Theodore', 'Nathaniel',
    ];

    public const WOMEN = [
        'Mary', 'Patricia', 'Jennifer', 'Linda', 'Elizabeth', 'Barbara', 'Susan', 'Jessica', 'Sarah', 'Karen', 'Nancy',
        'Lisa', 'Betty', 'Margaret',
        'Sandra', 'Ashley', 'Kimberly', 'Emily', 'Donna', 'Michelle', 'Carol', 'Amanda', 'Dorothy', 'Melissa', 'Deborah',
        'Stephanie', 'Rebecca',
        'Sharon', 'Laura', 'Cynthia', 'Kathleen', 'Amy', 'Angela', 'Shirley', 'Anna', 'Brenda', 'Pamela', 'Emma', 'Nicole',
        'Helen', 'Samantha',
        'Katherine', 'Christine', 'Debra', 'Rachel', 'Carolyn', 'Janet', 'Catherine', 'Maria', 'Heather', 'Diane', 'Ruth',
        'Julie', 'Edith', 'Olivia',
        'Joyce', 'Virginia', 'Victoria', 'Kelly', 'Lauren', 'Christina', 'Joan', 'Evelyn', 'Judith', 'Andrea', 'Hannah',
        'Megan', 'Cheryl', 'Martha',
        'Jacqueline', 'Frances', 'Ann', 'Alice', 'Ada', 'Ida', 'Zoë', 'Renée', 'Ingrid', 'Yuki', 'Fatima', 'Priya',
        'Agnieszka', 'Lucía', 'Eleanor', 'Josephine',
    ];

    /** What some are called; a part of them in no list of short names. */
    public const SHORT = [
        'James' => ['Jim', 'Jimmy', 'Jamie'], 'John' => ['Jack', 'Johnny'], 'Robert' => ['Bob', 'Rob', 'Bert'],
        'Michael' => ['Mike', 'Mick'],
        'William' => ['Bill', 'Will', 'Liam'], 'David' => ['Dave'], 'Richard' => ['Dick', 'Rick', 'Rich'],
        'Joseph' => ['Joe'], 'Thomas' => ['Tom'],
        'Charles' => ['Charlie', 'Chuck', 'Chas'], 'Christopher' => ['Chris', 'Kit'], 'Daniel' => ['Dan'],
        'Matthew' => ['Matt'], 'Anthony' => ['Tony'],
        'Donald' => ['Don'], 'Steven' => ['Steve'], 'Stephen' => ['Steve'], 'Andrew' => ['Andy', 'Drew'],
        'Joshua' => ['Josh'], 'Kenneth' => ['Ken'],
        'Timothy' => ['Tim'], 'Ronald' => ['Ron'], 'Edward' => ['Ed', 'Ted', 'Ned'], 'Jeffrey' => ['Jeff'],
        'Jacob' => ['Jake'], 'Nicholas' => ['Nick'],
        'Jonathan' => ['Jon'], 'Benjamin' => ['Ben'], 'Samuel' => ['Sam'], 'Gregory' => ['Greg'],
        'Alexander' => ['Alex', 'Sandy'], 'Patrick' => ['Pat', 'Paddy'],
        'Raymond' => ['Ray'], 'Walter' => ['Walt', 'Wally'], 'Silas' => ['Si'], 'Henry' => ['Hank', 'Harry'],
        'Albert' => ['Al', 'Bert'], 'Lawrence' => ['Larry'],
        'Eugene' => ['Gene'], 'Philip' => ['Phil'], 'Theodore' => ['Ted', 'Theo'], 'Nathaniel' => ['Nate', 'Nat'],
        'Patricia' => ['Pat', 'Patty', 'Trish'],
        'Jennifer' => ['Jen', 'Jenny'], 'Elizabeth' => ['Liz', 'Beth', 'Betty', 'Elsie'], 'Barbara' => ['Barb', 'Babs'],
        'Susan' => ['Sue', 'Susie'],
        'Jessica' => ['Jess'], 'Sarah' => ['Sally', 'Sadie'], 'Margaret' => ['Peggy', 'Meg', 'Maggie', 'Greta'],
        'Kimberly' => ['Kim'], 'Deborah' => ['Deb', 'Debbie'],
        'Stephanie' => ['Steph'], 'Rebecca' => ['Becky'], 'Cynthia' => ['Cindy'], 'Kathleen' => ['Kathy'],
        'Angela' => ['Angie'], 'Pamela' => ['Pam'],
        'Samantha' => ['Sam'], 'Katherine' => ['Kate', 'Kathy', 'Kay'], 'Christine' => ['Chris'],
        'Catherine' => ['Cathy', 'Kate'], 'Victoria' => ['Vicky', 'Tori'],
        'Judith' => ['Judy'], 'Jacqueline' => ['Jackie'], 'Frances' => ['Fran'], 'Eleanor' => ['Ellie', 'Nell', 'Nora'],
        'Josephine' => ['Jo', 'Josie'],
    ];

    /** What anybody may be called. */
    public const PET = ['Buddy', 'Skip', 'Red', 'Sonny', 'Kiki', 'Doc', 'Duke', 'Bunny'];

    public const FAMILIES = [
        'Smith', 'Johnson', 'Williams', 'Brown', 'Jones', 'Miller', 'Davis', 'Wilson', 'Anderson', 'Taylor', 'Thomas',
        'Moore', 'Martin', 'Jackson',
        'Thompson', 'White', 'Clark', 'Lewis', 'Robinson', 'Walker', 'Young', 'Allen', 'King', 'Wright', 'Scott', 'Hill',
        'Green', 'Adams', 'Nelson',
        'Baker', 'Hall', 'Campbell', 'Mitchell', 'Carter', 'Roberts', 'Larkin', 'Whitlow', 'Penhallow', 'Quill', 'Ashdown',
        'Ferris', 'Harding', 'Garcia',
        'Rodriguez', 'Lopez', 'Nguyen', 'Lindqvist', 'Petrov', 'Müller', "O'Brien", "O'Neill", 'McDonald', 'MacLeod',
        'de la Cruz', 'van der Berg', 'St. Clair',
        'Fitzgerald', 'Kowalski', 'Tanaka', 'Obuya', 'Haddad', 'Singh', 'Rossi', 'Dubois', 'Schmidt', 'Johansson', 'Thomsen',
        'Tomson', 'Reed', 'Reid', 'Read',
        'Clarke', 'Stephens', 'Stevens', 'Philips', 'Phillips', 'Burns', 'Byrne', 'Meyer', 'Meier', 'Mayer', 'Snyder',
        'Schneider', 'Hoffman', 'Hofmann',
    ];

    public const SYLLABLES = [
        [
            'B', 'Br', 'C', 'Cl', 'D', 'Dr', 'F', 'G', 'Gr', 'H', 'K', 'L', 'M', 'N', 'P', 'Pr', 'R', 'S', 'Sh', 'St',
            'T', 'Th', 'V', 'W', 'Wh', 'Z',
        ],
        ['a', 'e', 'i', 'o', 'u', 'ai', 'ea', 'oo', 'au', 'ie'],
        ['ll', 'n', 'r', 'rd', 'rn', 's', 'ck', 'm', 'nd', 'st', 'x', 'th', 'dg', 'mp', 'lv', 'sk'],
        [
            '', 'a', 'by', 'er', 'ey', 'field', 'ford', 'ham', 'ing', 'land', 'ley', 'low', 'man', 'ner', 'son',
            'stone', 'ton', 'well', 'wick', 'wood', 'worth', 'ova', 'ini', 'eau',
        ],
    ];

    public const TRADES = [
        'Plumbing', 'Heating', 'Electric', 'Construction', 'Builders', 'Foundry', 'Timber', 'Manufacturing', 'Machine Works',
        'Insurance', 'Law Offices',
        'Accounting', 'Consulting', 'Engineering', 'Landscaping', 'Roofing', 'Paving', 'Printing', 'Publishing',
        'Photography', 'Catering', 'Bakery', 'Dairy',
        'Hardware', 'Equipment', 'Transport', 'Logistics', 'Auto Repair', 'Towing', 'Dental', 'Medical Center', 'Pharmacy',
        'Realty', 'Properties', 'Bank',
        'Credit Union', 'Museum', 'Library', 'School', 'Church', 'Foundation', 'Theater', 'Gallery', 'Antiques', 'Clocks',
        'Instruments', 'Brewery', 'Farm',
        'Stables', 'Security', 'Cleaning Services', 'Staffing', 'Software', 'Systems', 'Technologies', 'Communications',
        'Telephone', 'Power', 'Water Department',
    ];

    public const FIRST = [
        'Green Mountain', 'Brass Lantern', 'Hollow Pine', 'North Star', 'Blue Heron', 'Maple', 'Granite', 'Valley', 'River',
        'Lakeside', 'Summit', 'Harbor', 'Liberty',
        'United', 'National', 'American', 'First', 'Pioneer', 'Heritage', 'Premier', 'Quality', 'Superior', 'Central',
        'Twin Oaks', 'Red Barn', 'Silver Birch', 'Old Mill',
        'Stone Bridge', 'Iron Gate', 'Copper Kettle', 'White Swan', 'Golden Eagle', 'Evergreen', 'Sunrise', 'Eastern',
        'Atlantic', 'Continental', 'Metro', 'Apex', 'Acorn',
    ];

    /** In full, and as it is written by people in a hurry. */
    public const SHORTER = [
        'Manufacturing' => 'Mfg', 'Associates' => 'Assoc', 'Brothers' => 'Bros', 'Services' => 'Svcs',
        'Construction' => 'Constr', 'Engineering' => 'Eng',
        'Insurance' => 'Ins', 'National' => 'Natl', 'Electric' => 'Elec', 'Plumbing' => 'Plbg', 'Center' => 'Ctr',
        'Department' => 'Dept', 'Equipment' => 'Equip',
        'Technologies' => 'Tech', 'Properties' => 'Props', 'American' => 'Amer', 'Saint' => 'St', 'Company' => 'Co',
        'Street' => 'St', 'Avenue' => 'Ave',
        'Road' => 'Rd', 'Lane' => 'Ln', 'Drive' => 'Dr', 'Court' => 'Ct', 'North' => 'N', 'South' => 'S', 'First' => '1st',
        'Second' => '2nd', 'Suite' => 'Ste',
        'Apartment' => 'Apt', 'Boulevard' => 'Blvd', 'Square' => 'Sq', 'Terrace' => 'Ter', 'Mount' => 'Mt',
    ];

    public const TOWNS = [
        'Ashby', 'Brookfield', 'Chester', 'Dunmore', 'Elmwood', 'Fairhaven', 'Grafton', 'Hartwell', 'Ironton', 'Jasper',
        'Kingsley', 'Lyndon', 'Marlow Falls', 'Newbury',
        'Orford', 'Putney', 'Quincy', 'Rockport', 'Stowe', 'Townsend', 'Underhill', 'Vernon', 'Westfield', 'Windham',
        'Yarmouth', 'Bellows', 'Concord', 'Derby', 'Easton', 'Franklin',
    ];

    public const STREETS = [
        'Main', 'Elm', 'Oak', 'Maple', 'Church', 'School', 'High', 'Mill', 'River', 'Orchard Hill', 'Park', 'Pleasant',
        'Spring', 'Union', 'Water', 'Canal', 'Prospect', 'Summer',
        'Winter', 'Chestnut', 'Pine', 'Cedar', 'Walnut', 'Lincoln', 'Washington', 'Franklin', 'Grove', 'Highland', 'Pearl',
        'State', 'Court', 'Depot', 'Academy', 'Bridge', 'First',
        'Second', 'Meadow', 'Forest', 'Sugar House', 'Cider Mill', 'Old County', 'Town Hall',
    ];
}
