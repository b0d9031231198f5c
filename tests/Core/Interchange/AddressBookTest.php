<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use Almanac\Interchange\AddressBook;
use Almanac\Interchange\ContactCard;
use Almanac\Interchange\FileKind;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Names\PersonName;
use Almanac\Reach\ContactKind;
use PHPUnit\Framework\TestCase;

/** Contacts as phones and mail programs write them: vCard 2.1, 3.0 and 4.0, jCard, LDIF. */
final class AddressBookTest extends TestCase
{
    public function test_the_examples_of_the_standards_are_read(): void
    {
        // RFC 6350, 8: the author's own card, some lines left out.
        $simon = $this->one("BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Simon Perreault\r\nN:Perreault;Simon;;;ing. jr,M.Sc.\r\nBDAY:--0203\r\nGENDER:M\r\nLANG;PREF=1:fr\r\n"
            ."ORG;TYPE=work:Viagenie\r\nADR;TYPE=work:;Suite D2-630;2875 Laurier;Quebec;QC;G1V 2M2;Canada\r\nTEL;VALUE=uri;TYPE=\"work,voice\";PREF=1:tel:+1-418-656-9254;ext=102\r\n"
            ."TEL;VALUE=uri;TYPE=\"work,cell,voice,video,text\":tel:+1-418-262-6501\r\nEMAIL;TYPE=work:simon.perreault@viagenie.ca\r\nURL;TYPE=home:http://nomis80.org\r\nEND:VCARD\r\n");
        $this->assertSame('Perreault', $simon['family']);
        $this->assertSame('ing. jr M.Sc.', $simon['suffix']);
        $this->assertArrayNotHasKey('birth-date', $simon, 'a birthday without its year says too little');
        $this->assertSame(
            ['Viagenie', '+1-418-656-9254 x102', '+1-418-262-6501'],
            [$simon['company'], $simon['phone:office'], $simon['phone:mobile']],
        );
        $this->assertSame(
            ["2875 Laurier\nSuite D2-630", 'Quebec', 'QC', 'G1V 2M2', 'Canada'],
            array_map(fn (string $part) => $simon["$part:office"], ['street', 'locality', 'region', 'postcode', 'country']),
        );
        // RFC 2426, 7: two cards in a file, folded.
        $two = $this->all(FileKind::VCard, "BEGIN:vCard\r\nVERSION:3.0\r\nFN:Frank Dawson\r\nORG:Lotus Development Corporation\r\nADR;TYPE=WORK,POSTAL,PARCEL:;;6544 Battleford Drive\r\n ;Raleigh;NC;27613-3502;U.S.A.\r\n"
            ."TEL;TYPE=VOICE,MSG,WORK:+1-919-676-9515\r\nTEL;TYPE=FAX,WORK:+1-919-676-9564\r\nEMAIL;TYPE=INTERNET,PREF:Frank_Dawson@Lotus.com\r\nEMAIL;TYPE=INTERNET:fdawson@earthlink.net\r\nEND:vCard\r\n\r\n"
            ."BEGIN:vCard\r\nVERSION:3.0\r\nFN:Tim Howes\r\nORG:Netscape Communications Corp.\r\nTEL;TYPE=VOICE,MSG,WORK:+1-415-937-3419\r\nEND:vCard\r\n");
        $this->assertSame([1, 13], array_keys($two));
        $this->assertSame("Frank_Dawson@Lotus.com\nfdawson@earthlink.net", $two[1]['email']);
        $this->assertSame(['+1-919-676-9564', '6544 Battleford Drive'], [$two[1]['phone:fax'], $two[1]['street:office']]);
        // RFC 7095, B.1: the same author as JSON.
        $json = $this->all(FileKind::JCard, '["vcard",[["version",{},"text","4.0"],["fn",{},"text","Simon Perreault"],["n",{},"text",["Perreault","Simon","","",["ing. jr","M.Sc."]]],'
            .'["org",{"type":"work"},"text","Viagenie"],["adr",{"type":"work"},"text",["","Suite D2-630","2875 Laurier","Quebec","QC","G1V 2M2","Canada"]],'
            .'["tel",{"type":["work","voice"],"pref":"1"},"uri","tel:+1-418-656-9254;ext=102"],["email",{"type":"work"},"text","simon.perreault@viagenie.ca"]]]');
        $this->assertSame(
            [$simon['phone:office'], $simon['street:office'], $simon['suffix']],
            [$json[1]['phone:office'], $json[1]['street:office'], $json[1]['suffix']],
        );
        // RFC 2849, examples 1 to 3.
        $ldif = $this->all(FileKind::Ldif, "version: 1\ndn: cn=Barbara Jensen, ou=Product Development, dc=airius, dc=com\nobjectclass: top\nobjectclass: person\nobjectclass: organizationalPerson\ncn: Barbara Jensen\ncn: Barbara J Jensen\nsn: Jensen\nuid: bjensen\ntelephonenumber: +1 408 555 1212\n"
            ."description: A big sailing fan.\n\ndn: cn=Gern Jensen, ou=Product Testing, dc=airius, dc=com\nobjectclass: person\ncn: Gern Jensen\nsn: Jensen\ntelephonenumber: +1 408 555 1212\n"
            ."description:: V2hhdCBhIGNhcmVmdWwgcmVhZGVyIHlvdSBhcmUhICBUaGlzIHZhbHVlIGlzIGJhc2UtNjQtZW5jb2RlZCBiZWNhdXNlIGl0IGhhcyBhIGNvbnRyb2wgY2hhcmFjdGVyIGluIGl0IChhIENSKS4NICBCeSB0aGUgd2F5LCB5b3Ugc2hvdWxkIHJlYWxseSBnZXQgb3V0IG1vcmUu\n\n"
            ."# a comment\n  that goes on\ndn:: b3U95Za25qWt6YOoLG89QWlyaXVz\nobjectclass: organizationalUnit\nou:: 5Za25qWt6YOo\n");
        $this->assertSame(['Barbara Jensen', 'Gern Jensen'], array_values(array_map(fn (array $one) => $one['name'], $ldif)));
        $this->assertSame(
            ['Jensen', '+1 408 555 1212', 'A big sailing fan.'],
            [$ldif[2]['family'], $ldif[2]['phone:office'], $ldif[2]['note']],
        );
        $this->assertStringStartsWith('What a careful reader you are!', $ldif[13]['note']);
    }

    public function test_what_phones_and_mail_programs_make_of_the_standards_is_understood(): void
    {
        // vCard 2.1 from memory: types by themselves, a set of characters for each line, quoted-printable.
        $old = $this->one("BEGIN:VCARD\r\nVERSION:2.1\r\nN;CHARSET=ISO-8859-1;ENCODING=QUOTED-PRINTABLE:M=FCller;J=FCrgen;;Dr.;\r\nFN;CHARSET=ISO-8859-1;ENCODING=QUOTED-PRINTABLE:J=FCrgen =\r\nM=FCller\r\n"
            ."TEL;CELL;PREF:+49 30 901820\r\nTEL;WORK;FAX:+49 30 901821\r\nPHOTO;ENCODING=BASE64;JPEG:".str_repeat('A', 60)."\r\n ".str_repeat('B', 60)."\r\n\r\nADR;HOME:;;Weg 1;Berlin;;10115;Germany\r\nEND:VCARD\r\n");
        $this->assertSame(
            ['Müller', 'Jürgen', 'Dr.', '+49 30 901820', '+49 30 901821', 'Weg 1'],
            array_map(fn (string $key) => $old[$key], ['family', 'given', 'prefix', 'phone:mobile', 'phone:fax', 'street:home']),
        );
        // Labels of one's own beside the line, under the same group.
        $grouped = $this->one("BEGIN:VCARD\nVERSION:3.0\nN:Larkin;Ottilie;;;\nFN:Ottilie Larkin\nitem1.TEL:802-555-0143\nitem1.X-ABLabel:_\$!<Mobile>!\$_\nitem2.EMAIL;type=INTERNET:o@larkin.example\nitem2.X-ABLabel:school\n"
            ."BDAY;value=date:1971-03-04\nCATEGORIES:museum,Sunday lunch\nNOTE:Rings\\nbefore noon\nX-SOCIALPROFILE;type=x:https://social.example/o\nX-PHONETIC-FIRST-NAME:O\nEND:VCARD\n");
        $this->assertSame(
            ['802-555-0143', 'o@larkin.example', '1971-03-04', 'museum;Sunday lunch', "Rings\nbefore noon", 'https://social.example/o'],
            array_map(fn (string $key) => $grouped[$key], ['phone:mobile', 'email', 'birth-date', 'tags', 'note', 'profile']),
        );
        $firm = $this->one("BEGIN:VCARD\nVERSION:3.0\nN:;;;;\nFN:Tern Hill Timber\nORG:Tern Hill Timber;\nX-ABShowAs:COMPANY\nEND:VCARD\n");
        $this->assertSame(['kind' => 'company', 'name' => 'Tern Hill Timber'], $firm);
        $this->assertSame(
            [],
            $this->all(FileKind::VCard, "BEGIN:VCARD\nVERSION:4.0\nKIND:group\nFN:Everybody\nMEMBER:urn:uuid:1\nEND:VCARD\n"),
            'a list of contacts is none',
        );
        $home = $this->all(
            FileKind::Ldif,
            "dn: cn=A,mail=a@b.example\nobjectclass: person\ncn: A B\ngivenName: A\nsn: B\nmail: a@b.example\nbookSecondEmail: b@b.example\nbookHomeStreet: 1 Lane\nbookHomeLocalityName: Putney\nbookHomePostalCode: 05346\nbirthyear: 1971\nbirthmonth: 3\nbirthday: 4\n\ndn: cn=List\nobjectclass: groupOfNames\ncn: List\n",
        );
        $this->assertCount(1, $home);
        $this->assertSame(
            ["a@b.example\nb@b.example", '1 Lane', 'Putney', '1971-03-04'],
            array_map(fn (string $key) => $home[1][$key], ['email', 'street:home', 'locality:home', 'birth-date']),
        );
    }

    public function test_our_own_cards_come_back_as_they_went(): void
    {
        $card = new ContactCard(
            'urn:uuid:1', PersonName::of('Zoë', 'Škvorecká; von', 'Dr.', 'A.', 'Jr.', 'Zo'),
            'Dr. Zoë A. Škvorecká; von, Jr.', ['Brass, Lantern; Foundry', 'Castings'], 'Director',
            [[ContactKind::Phone, '+18025550142 x7', 'mobile', true], [ContactKind::Email, 'zoe@b.example', 'home', true]],
            [[['14 Meridian Lane', 'Apt 2; rear'], 'Brattleboro', 'VT', '05301', 'United States', 'home', true]],
            ['bells, large'], 'de', new \DateTimeImmutable('2026-11-24'),
        );
        foreach ([FileKind::VCard->value => $card->toVCard4(), FileKind::JCard->value => (string) json_encode($card->toJCard())] as $kind => $text) {
            [$read] = array_values($this->all(FileKind::from($kind), $text));
            $this->assertSame(
                [
                    'Škvorecká; von', 'Zoë', 'A.', 'Dr.', 'Jr.', 'Zo', 'Brass, Lantern; Foundry', 'Castings',
                    '+18025550142 x7', 'zoe@b.example', "14 Meridian Lane\nApt 2; rear", 'bells, large', 'de',
                ],
                array_map(
                    fn (string $key) => $read[$key],
                    [
                        'family', 'given', 'middle', 'prefix', 'suffix', 'preferred', 'company', 'department',
                        'phone:mobile', 'email:home', 'street:home', 'tags', 'language',
                    ],
                ),
                $kind,
            );
        }
        [$old] = array_values($this->all(FileKind::VCard, $card->toVCard3()));
        $this->assertSame(['+18025550142 x7', 'Castings'], [$old['phone:mobile'], $old['department']]);
    }

    public function test_what_cannot_be_read_of_a_contact_is_told_and_the_others_are_read(): void
    {
        $read = $this->all(
            FileKind::VCard,
            "BEGIN:VCARD\nVERSION:3.0\nthis is nothing\nEND:VCARD\nBEGIN:VCARD\nVERSION:3.0\nFN:B\nPHOTO;ENCODING=b:".str_repeat('QUJD', 2_000_000)."\nEND:VCARD\n",
        );
        $this->assertSame([1, 5], array_keys($read));
        $this->assertSame('B', $read[5]['name'], 'a picture of any size is left out');
        $ldif = $this->all(FileKind::Ldif, "dn: cn=A\ncn: A\nno colon here\nfile:< file:///etc/passwd\n");
        $this->assertSame('Line 3 cannot be read.', $ldif[1][AddressBook::UNREADABLE]);
        $this->expectExceptionObject(InterchangeRefused::endsInTheMiddle());
        $this->all(FileKind::VCard, "BEGIN:VCARD\nVERSION:3.0\nFN:A\n");
    }

    /** @return array<string, string> */
    private function one(string $card): array
    {
        return array_values($this->all(FileKind::VCard, $card))[0];
    }

    /** @return array<int, array<string, string>> what is filled of each contact, by the line on which it begins */
    private function all(FileKind $kind, string $content): array
    {
        $this->assertSame($kind, FileKind::of(substr($content, 0, 8192)));
        $rows = iterator_to_array(AddressBook::rows($kind, $content));
        unset($rows[0]);

        return array_map(
            fn (array $row) => array_filter(array_combine(AddressBook::targets(), $row), fn (string $cell) => $cell !== ''),
            $rows,
        );
    }
}
