<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\Party;
use Sabre\VObject\Component\VCard;
use Sabre\VObject\Property;
use Sabre\VObject\Reader;
use Tests\TestCase;

/** Lists as tables and as contact cards. */
final class ExportTest extends TestCase
{
    public function test_a_list_is_a_table_with_the_columns_and_the_order_that_it_has(): void
    {
        $this->addCompany('Brass Lantern Foundry', ['isVendor' => true]);
        $this->addCompany('=SUM(A1:A9)', ['isVendor' => true]);
        $this->addCompany('Penhallow', ['isClient' => true]);
        $csv = $this->asAdministrator()->get('/api/parties/export?filter=vendors&columns=number,name,role&sort=-number')->assertOk()
            ->assertHeader('Content-Type', 'text/csv; charset=UTF-8; header=present')
            ->assertHeader('Content-Disposition', 'attachment; filename="Records.csv"')->streamedContent();
        $this->assertSame("\xEF\xBB\xBFNumber,Name,Role\r\n1001,\"Brass Lantern Foundry\",vendor\r\n1002,'=SUM(A1:A9),vendor\r\n", $csv);
        $this->get('/api/parties/export?format=robot', ['Accept' => 'application/json'])->assertUnprocessable();
    }

    public function test_every_record_of_the_demo_office_is_a_card_that_is_read_back(): void
    {
        $this->demo();
        $this->actingAs($this->user(Role::Reader));
        foreach (['vcard4' => '4.0', 'vcard3' => '3.0'] as $format => $version) {
            $file = $this->get("/api/parties/export?format=$format&archived=1")->assertOk()->assertHeader('Content-Type', 'text/vcard; charset=UTF-8')->streamedContent();
            $cards = array_filter(explode("END:VCARD\r\n", $file));
            $this->assertCount(Party::query()->count(), $cards);
            $uids = [];
            foreach ($cards as $card) {
                $read = Reader::read($card.'END:VCARD');
                $this->assertInstanceOf(VCard::class, $read);
                $this->assertSame([], array_filter($read->validate(), fn (array $problem) => $problem['level'] > 1), $card);
                $this->assertStringContainsString("VERSION:$version\r\n", $card);
                $uids[] = implode('', array_map(strval(...), $read->select('UID')));
            }
            $this->assertSame($uids, array_unique($uids));
        }
        $cards = json_decode($this->get('/api/parties/export?format=jcard')->assertOk()->streamedContent(), true);
        $this->assertIsArray($cards);
        $this->assertSame('vcard', $cards[0][0]);
        $this->assertCount(Party::query()->whereNull('archived_on')->count(), $cards);
    }

    public function test_a_card_says_how_somebody_is_reached_and_where_they_work_and_nothing_private(): void
    {
        $brass = $this->addCompany('Brass; Lantern, Foundry');
        $silas = $this->addPerson('Silas', 'Wren', ['companyId' => $brass->id, 'title' => 'Director']);
        $this->asAdministrator()->saveSection($silas, 'reach', ['contactPoints' => [
            $this->contact('phone', '802 555 0142 x7', ['label' => 'mobile', 'isPrimary' => true]), $this->contact('email', 'silas@wren.example', ['label' => 'home']),
        ]])->assertOk();
        $this->saveSection($silas, 'addresses', ['addresses' => [
            $this->address(['lines' => "14 Meridian Lane\nApt 2", 'uses' => ['home'], 'isPrimary' => true]), $this->address(['lines' => '3 Dial Street', 'until' => '2020-01-01']),
        ]])->assertOk();
        $this->saveSection($silas, 'identity', [
            'prefix' => 'Mr.', 'given' => 'Silas', 'middle' => 'A.', 'family' => 'Wren', 'suffix' => 'III', 'preferred' => 'Sy', 'pronouns' => '',
            'postNominals' => 'CPA', 'birthDate' => '1980-01-02', 'isClient' => false, 'isVendor' => false,
        ])->assertOk();
        $card = $this->get("/api/parties/$silas->id/card")->assertOk()->streamedContent();
        $read = Reader::read($card);
        $this->assertInstanceOf(VCard::class, $read);
        $of = fn (string $name): array => array_map(fn (mixed $one) => $one instanceof Property ? $one->getParts() : [], $read->select($name));
        $this->assertSame([['Wren', 'Silas', 'A.', 'Mr.', 'III,CPA']], $of('N'));
        $this->assertSame([['tel:+18025550142;ext=7']], $of('TEL'));
        $this->assertStringContainsString('TEL;VALUE=uri;TYPE=cell;PREF=1:tel:', $card);
        $this->assertSame([['Brass; Lantern, Foundry']], $of('ORG'));
        $this->assertSame([['Director']], $of('TITLE'));
        // What is no longer in force is left out.
        $this->assertSame([['', '', "14 Meridian Lane\nApt 2", 'Brattleboro', 'VT', '05301', 'United States']], $of('ADR'));
        $this->assertStringNotContainsString('1980', $card);
        $this->assertStringContainsString('TEL;TYPE=cell,PREF:+18025550142 x7', $this->get("/api/parties/$silas->id/card?format=vcard3")->streamedContent());
    }
}
