<?php

declare(strict_types=1);

// A small address book that speaks CardDAV (RFC 6352): a stand-in for one elsewhere, with forty made-up contacts.
// php -S HOST:PORT bin/address-book-elsewhere.php; it lets in "maud" with "pendulum-1742".

const CONTACTS = 40;

$given = ['Ada', 'Bram', 'Cleo', 'Dov', 'Elke', 'Femi', 'Greta', 'Hiro', 'Ines', 'Joris', 'Kaya', 'Leif', 'Mina', 'Noor', 'Otto', 'Pilar', 'Quim', 'Rosa', 'Sven', 'Tilda'];
$family = ['Ashgrove', 'Brindle', 'Copperley', 'Dunmarsh', 'Ellery', 'Fallowfield', 'Grünwald', 'Hathersage', 'Inkpen', 'Jørgensen'];
$towns = [['Chester', 'VT', '05143'], ['Ludlow', 'VT', '05149'], ['Keene', 'NH', '03431'], ['Greenfield', 'MA', '01301']];

/** As a phone writes it: a group, an own property, a folded line. */
$card = function (int $n) use ($given, $family, $towns): string {
    [$first, $last] = [$given[$n % count($given)], $family[intdiv($n * 7, 3) % count($family)]];
    [$town, $state, $zip] = $towns[$n % count($towns)];
    $phone = sprintf('+1 802 555 0%03d', 300 + $n);
    $lines = [
        'BEGIN:VCARD', 'VERSION:3.0', "UID:elsewhere-$n", "N:$last;$first;;;", "FN:$first $last",
        "TEL;TYPE=CELL:$phone", 'item1.EMAIL;TYPE=INTERNET:'.strtolower($first).'.'.$n.'@elsewhere.example', 'item1.X-ABLabel:_$!<Other>!$_',
        "ADR;TYPE=HOME:;;$n Mill Lane;$town;$state;$zip;United States", ...$n % 8 === 0 ? ["ORG:$last Clock Supplies", 'TITLE:Buyer'] : [],
        'NOTE:Met at the fair of clockmakers; asks about bells\, dials and', '  escapements now and then.', 'END:VCARD',
    ];

    return implode("\r\n", $lines)."\r\n";
};

$escape = fn (string $text): string => htmlspecialchars($text, ENT_XML1);
$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$answer = function (array $responses) use ($escape): void {
    http_response_code(207);
    header('Content-Type: application/xml; charset=utf-8');
    echo '<?xml version="1.0" encoding="utf-8"?><d:multistatus xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav">';
    foreach ($responses as $href => $properties) {
        echo '<d:response><d:href>', $escape($href), "</d:href><d:propstat><d:prop>$properties</d:prop><d:status>HTTP/1.1 200 OK</d:status></d:propstat></d:response>";
    }
    echo '</d:multistatus>';
};
$isAlone = ($_SERVER['HTTP_DEPTH'] ?? '0') === '0';
$book = '<d:resourcetype><d:collection/><c:addressbook/></d:resourcetype><d:displayname>Contacts</d:displayname>';
$who = '<d:current-user-principal><d:href>/principals/maud/</d:href></d:current-user-principal>';
if ($path === '/.well-known/carddav') {
    http_response_code(301);
    header('Location: /');
} elseif (($_SERVER['PHP_AUTH_USER'] ?? '') !== 'maud' || ! hash_equals('pendulum-1742', (string) ($_SERVER['PHP_AUTH_PW'] ?? ''))) {
    http_response_code(401);
    header('WWW-Authenticate: Basic realm="Contacts elsewhere"');
} elseif ($_SERVER['REQUEST_METHOD'] === 'REPORT' && $path === '/books/contacts/') {
    $cards = [];
    for ($n = 0; $n < CONTACTS; $n++) {
        $cards["/books/contacts/$n.vcf"] = "<d:getetag>\"$n\"</d:getetag><c:address-data>{$escape($card($n))}</c:address-data>";
    }
    $answer($cards);
} elseif ($_SERVER['REQUEST_METHOD'] === 'PROPFIND') {
    match ($path) {
        '/principals/maud/' => $answer([$path => $who.'<c:addressbook-home-set><d:href>/books/</d:href></c:addressbook-home-set>']),
        '/books/' => $answer([$path => '<d:resourcetype><d:collection/></d:resourcetype>'] + ($isAlone ? [] : ['/books/contacts/' => $book])),
        '/books/contacts/' => $answer([$path => $book]),
        default => $answer([$path => '<d:resourcetype><d:collection/></d:resourcetype>'.$who]),
    };
} else {
    http_response_code(404);
    echo 'There is only an address book here.';
}
