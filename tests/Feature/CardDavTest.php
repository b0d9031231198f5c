<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\Party;
use App\Models\User;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/**
 * The book as a phone reads it, by a client's own requests: found, listed, fetched, and compared again. The bodies are made
 * from RFC 6352 and RFC 6578.
 */
final class CardDavTest extends TestCase
{
    private const CARDS = 'urn:ietf:params:xml:ns:carddav';

    private string $password = '';

    private Party $silas;

    protected function setUp(): void
    {
        parent::setUp();
        $brass = $this->asAdministrator()->addCompany('Brass Lantern Foundry');
        $this->silas = $this->addPerson('Silas', 'Wren', ['companyId' => $brass->id, 'title' => 'Director']);
        $this->saveSection(
            $this->silas,
            'reach',
            ['contactPoints' => [$this->contact('phone', '802 555 0142'), $this->contact('email', 'silas@wren.example')]],
        )
            ->assertOk();
        $this->password = $this->appPassword('maud@orreryvane.example');
        $this->app->make('auth')->forgetGuards();
    }

    public function test_a_phone_finds_the_books_lists_them_and_fetches_the_cards(): void
    {
        $this->call('PROPFIND', '/.well-known/carddav')->assertRedirect('/dav/');
        $this->call('PROPFIND', '/dav/')->assertUnauthorized()->assertHeader('WWW-Authenticate');
        $this->dav('OPTIONS', '/dav/')->assertOk()->assertHeader('DAV', '1, 3, addressbook, sync-collection');
        $find = '<d:propfind xmlns:d="DAV:" xmlns:c="'.self::CARDS.'"><d:prop>%s</d:prop></d:propfind>';
        $root = $this->dav('PROPFIND', '/dav/', sprintf($find, '<d:current-user-principal/><d:quota-used-bytes/>'))->assertStatus(207);
        $this->assertSame('/dav/me/', $this->text($root, '//d:current-user-principal/d:href'));
        $this->assertSame('HTTP/1.1 404 Not Found', $this->text($root, '//d:propstat[d:prop/d:quota-used-bytes]/d:status'));
        $home = $this->dav('PROPFIND', '/dav/me/', sprintf($find, '<c:addressbook-home-set/>'))->assertStatus(207);
        $this->assertSame('/dav/books/', $this->text($home, '//c:addressbook-home-set/d:href'));
        $books = $this->dav('PROPFIND', '/dav/books/', sprintf($find, '<d:resourcetype/><d:displayname/><d:sync-token/>'), ['Depth' => '1'])
            ->assertStatus(207);
        $this->assertSame(['/dav/books/', '/dav/books/all/'], $this->texts($books, '//d:response/d:href'));
        $this->assertSame(1, count($this->texts($books, '//d:resourcetype/c:addressbook')));
        $listed = $this->dav('PROPFIND', '/dav/books/all/', sprintf($find, '<d:getetag/>'), ['Depth' => '1'])->assertStatus(207);
        $hrefs = array_slice($this->texts($listed, '//d:response/d:href'), 1);
        $this->assertCount(2, $hrefs);
        $multi = '<c:addressbook-multiget xmlns:d="DAV:" xmlns:c="'.self::CARDS.'"><d:prop><d:getetag/><c:address-data/></d:prop>'.implode(
            '',
            array_map(fn (string $href) => "<d:href>$href</d:href>", [...$hrefs, '/dav/books/all/999.vcf']),
        ).'</c:addressbook-multiget>';
        $cards = $this->dav('REPORT', '/dav/books/all/', $multi)->assertStatus(207);
        $this->assertSame('/dav/books/all/999.vcf', $this->text($cards, '//d:response[d:status="HTTP/1.1 404 Not Found"]/d:href'));
        $card = $this->text($cards, "//d:response[d:href='/dav/books/all/{$this->silas->id}.vcf']//c:address-data");
        foreach (['VERSION:3.0', 'FN:Silas Wren', 'ORG:Brass Lantern Foundry', '+18025550142', 'silas@wren.example'] as $line) {
            $this->assertStringContainsString($line, $card);
        }
        $one = $this->dav('GET', "/dav/books/all/{$this->silas->id}.vcf")
            ->assertOk()->assertHeader('Content-Type', 'text/vcard; charset=utf-8');
        $this->assertSame($card, trim((string) $one->getContent()));
        $this->dav('GET', "/dav/books/all/{$this->silas->id}.vcf", '', ['If-None-Match' => (string) $one->headers->get('ETag')])
            ->assertStatus(304);
        $query = '<c:addressbook-query xmlns:d="DAV:" xmlns:c="'.self::CARDS.'"><d:prop><d:getetag/><c:address-data version="4.0"/></d:prop><c:filter><c:prop-filter name="FN"><c:text-match>lantern</c:text-match></c:prop-filter></c:filter></c:addressbook-query>';
        $this->assertCount(
            2,
            $this->texts($this->dav('REPORT', '/dav/books/all/', $query), '//d:response/d:href'),
            'the company, and who works there',
        );
    }

    public function test_what_has_changed_is_told_by_states_and_a_former_token_begins_anew(): void
    {
        $sync = fn (string $token): TestResponse => $this->dav(
            'REPORT',
            '/dav/books/all/',
            '<d:sync-collection xmlns:d="DAV:"><d:sync-token>'.$token.'</d:sync-token><d:sync-level>1</d:sync-level><d:prop><d:getetag/></d:prop></d:sync-collection>',
        );
        $first = $sync('')->assertStatus(207);
        $token = $this->text($first, '/d:multistatus/d:sync-token');
        $states = array_combine($this->texts($first, '//d:response/d:href'), $this->texts($first, '//d:getetag'));
        $this->assertCount(2, $states);
        $this->assertSame([], $this->texts($sync($token)->assertStatus(207), '//d:response'), 'nothing is other');
        $this->asAdministrator()
            ->saveSection($this->silas, 'reach', ['contactPoints' => [$this->contact('phone', '802 555 0177')]], 1)
            ->assertOk();
        $this->app->make('auth')->forgetGuards();
        $this->assertStringContainsString('valid-sync-token', (string) $sync($token)->assertForbidden()->getContent());
        $again = $sync('')->assertStatus(207);
        $now = array_combine($this->texts($again, '//d:response/d:href'), $this->texts($again, '//d:getetag'));
        $this->assertSame(["/dav/books/all/{$this->silas->id}.vcf"], array_keys(array_diff_assoc($now, $states)), 'only hers is another');
    }

    public function test_a_saved_list_is_a_book_and_nothing_but_the_books_is_opened(): void
    {
        $list = $this->asAdministrator()->postJson('/api/long-lists/parties/saved', [
            'name' => 'Firms', 'isShared' => false, 'sentence' => 'companies', 'sort' => '', 'columns' => [],
            'choices' => '', 'view' => 'table', 'countedBy' => '', 'period' => '',
        ])->assertCreated()->json();
        $this->app->make('auth')->forgetGuards();
        $this->assertIsArray($list);
        $id = collect($list)->firstWhere('name', 'Firms')['id'] ?? 0;
        $this->assertSame(
            ['/dav/books/', '/dav/books/all/', "/dav/books/list-$id/"],
            $this->texts($this->dav('PROPFIND', '/dav/books/', '', ['Depth' => '1']), '//d:response/d:href'),
        );
        $this->assertCount(2, $this->texts($this->dav('PROPFIND', "/dav/books/list-$id/", '', ['Depth' => '1']), '//d:response/d:href'));
        $this->dav('GET', "/dav/books/list-$id/{$this->silas->id}.vcf")->assertNotFound();
        $this->dav('PROPFIND', '/dav/books/list-999/')->assertNotFound();
        foreach (['PUT', 'DELETE', 'PROPPATCH', 'MKCOL', 'MOVE'] as $method) {
            $this->dav($method, "/dav/books/all/{$this->silas->id}.vcf", 'BEGIN:VCARD')->assertForbidden();
        }
        // Somebody else’s list is none, and a password for phones is none for scripts.
        $other = $this->appPassword($this->user(Role::Reader)->email);
        $this->app->make('auth')->forgetGuards();
        $this->dav('PROPFIND', "/dav/books/list-$id/", '', [], 'reader@orreryvane.example', $other)->assertNotFound();
        $this->dav('PROPFIND', '/dav/books/all/', '', [], 'reader@orreryvane.example', $other)->assertStatus(207);
        $this->app->make('auth')->forgetGuards();
        $this->getJson('/api/parties', ['Authorization' => "Bearer $this->password"])->assertUnauthorized();
        $this->app->make('auth')->forgetGuards();
        foreach ([['maud@orreryvane.example', 'wrong'], ['reader@orreryvane.example', $this->password], ['maud@orreryvane.example', self::PASSWORD]] as [$email, $password]) {
            $this->dav('PROPFIND', '/dav/', '', [], $email, $password)->assertUnauthorized();
        }
        User::query()->where('email', 'reader@orreryvane.example')->firstOrFail()->forceFill(['retired_at' => now()])->save();
        $this->dav('PROPFIND', '/dav/', '', [], 'reader@orreryvane.example', $other)->assertUnauthorized();
    }

    public function test_what_is_no_request_is_refused(): void
    {
        foreach (['<not xml', '<!DOCTYPE x [<!ENTITY a SYSTEM "file:///etc/passwd">]><d:propfind xmlns:d="DAV:">&a;</d:propfind>', '<a xmlns="x"/>', str_repeat('<a>', 400_000)] as $body) {
            $this->dav('REPORT', '/dav/books/all/', $body)->assertStatus(400);
        }
        $this->dav('PROPFIND', '/dav/', '<not xml')->assertStatus(400);
        $this->dav('PROPFIND', '/dav/nowhere/')->assertStatus(404);
        $odd = '<d:propfind xmlns:d="DAV:" xmlns:o="http://odd.example/"><d:prop><o:thing/></d:prop></d:propfind>';
        $this->assertSame('HTTP/1.1 404 Not Found', $this->text($this->dav('PROPFIND', '/dav/', $odd)->assertStatus(207), '//d:status'));
    }

    private function appPassword(string $email): string
    {
        $token = $this->postJson('/api/tokens', ['email' => $email, 'password' => self::PASSWORD, 'name' => 'my phone', 'use' => 'cards'])
            ->assertCreated()->json('token');
        $this->assertIsString($token);

        return $token;
    }

    /**
     * @param array<string, string> $headers
     *
     * @return TestResponse<Response>
     */
    private function dav(
        string $method,
        string $path,
        string $body = '',
        array $headers = [],
        string $email = 'maud@orreryvane.example',
        ?string $password = null,
    ): TestResponse {
        $server = ['PHP_AUTH_USER' => $email, 'PHP_AUTH_PW' => $password ?? $this->password, 'CONTENT_TYPE' => 'application/xml'];
        foreach ($headers as $name => $value) {
            $server['HTTP_'.strtoupper(strtr($name, '-', '_'))] = $value;
        }

        return $this->call($method, $path, [], [], [], $server, $body);
    }

    /** @param  TestResponse<Response>  $answer */
    private function text(TestResponse $answer, string $path): string
    {
        return $this->texts($answer, $path)[0] ?? '';
    }

    /**
     * @param TestResponse<Response> $answer
     *
     * @return list<string>
     */
    private function texts(TestResponse $answer, string $path): array
    {
        $document = new \DOMDocument;
        $document->loadXML((string) $answer->getContent());
        $xpath = new \DOMXPath($document);
        $xpath->registerNamespace('d', 'DAV:');
        $xpath->registerNamespace('c', self::CARDS);
        $found = $xpath->query($path);

        $texts = [];
        foreach ($found === false ? [] : $found as $node) {
            $texts[] = $node instanceof \DOMNode ? trim((string) $node->textContent) : '';
        }

        return $texts;
    }
}
