<?php

declare(strict_types=1);

namespace Tests\Attack;

use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** nginx and php-fpm as `./almanac install-server` configures them, really run. */
final class ServerTest extends TestCase
{
    use OfficeInAFile {
        tearDown as private removeOffice;
    }

    private string $folder;

    /** @var non-empty-string */
    private string $url;

    private ?Process $server = null;

    protected function tearDown(): void
    {
        $this->server?->stop(5, SIGTERM);
        // Its worker sees within a second that the server is gone.
        for ($tries = 0; is_dir($this->folder) && $tries < 50; $tries++) {
            exec('rm -rf '.escapeshellarg($this->folder).' 2>/dev/null');
            usleep($tries === 0 ? 0 : 100_000);
        }
        $this->removeOffice();
    }

    public function test_an_office_is_served_over_tls_by_nginx_and_php_fpm(): void
    {
        $this->addCompany('Brass & Bell Foundry');
        $this->install();
        $this->start();

        // Pages: sent over TLS only from now on.
        [$status, $headers, $page] = $this->ask('GET', '/');
        $this->assertSame(200, $status);
        $this->assertSame('max-age=31536000', $headers['strict-transport-security'][0]);
        $this->assertStringContainsString("default-src 'self'", $headers['content-security-policy'][0]);
        $this->assertNotEmpty($headers['set-cookie']);
        foreach ($headers['set-cookie'] as $cookie) {
            $this->assertMatchesRegularExpression('/; secure\b/i', $cookie);
        }
        $this->assertArrayNotHasKey('x-powered-by', $headers);
        $this->assertSame('nginx', $headers['server'][0]);

        // Built files: compressed beforehand, kept for a year.
        preg_match('~src="[^"]*(/build/assets/[^"]+\.js)"~', $page, $found);
        $script = $found[1] ?? $this->fail('The page names no script.');
        foreach (['br' => 'br', 'gzip' => 'gz'] as $encoding => $ending) {
            [$status, $headers, $body] = $this->ask('GET', $script, headers: ["Accept-Encoding: $encoding"]);
            $this->assertSame([200, $encoding], [$status, $headers['content-encoding'][0] ?? 'none']);
            $this->assertSame((string) file_get_contents(public_path("$script.$ending")), $body);
            $this->assertSame(['public, max-age=31536000, immutable', 'nosniff', 'text/javascript; charset=utf-8', 'max-age=31536000'], [
                $headers['cache-control'][0], $headers['x-content-type-options'][0], $headers['content-type'][0], $headers['strict-transport-security'][0],
            ]);
        }
        $this->assertSame('no-cache', $this->ask('GET', '/build/manifest.json')[1]['cache-control'][0]);
        $this->assertSame(404, $this->ask('GET', '/build/assets/none.js')[0]);
        foreach (['/index.php', '/router.php', '/build/../../composer.json', '/.env'] as $path) {
            $this->assertStringNotContainsString('<?php', $this->ask('GET', $path)[2], $path);
            $this->assertStringNotContainsString('laravel/framework', $this->ask('GET', $path)[2], $path);
        }

        // Signing in, finding, adding.
        $this->assertSame(401, $this->ask('GET', '/api/parties')[0]);
        [$status, , $answer] = $this->ask('POST', '/api/session', ['email' => 'maud@orreryvane.example', 'password' => self::PASSWORD]);
        $this->assertSame(200, $status, $answer);
        $this->assertStringContainsString('Brass & Bell', html_entity_decode($this->ask('GET', '/api/find?q=Brass+Bell')[2]));
        $this->assertSame(201, $this->ask('POST', '/api/parties', ['kind' => 'company', 'name' => 'Cobb Timber', 'isClient' => true, 'isVendor' => false])[0]);

        // What is too large is refused by whoever sees it first, and in words.
        $this->assertSame(413, $this->ask('POST', '/api/parties', ['name' => str_repeat('x', 1_100_000)])[0]);
        $this->assertSame(413, $this->ask('POST', '/api/parties', ['name' => str_repeat('x', 30_000_000)])[0]);

        // Address books of phones, by methods of their own.
        $this->assertSame(401, $this->ask('PROPFIND', '/dav/')[0]);

        // Monitors: the worker runs, so all is well; one that is gone is seen, and begun again.
        $well = ['status' => 'ok', 'database' => 'ok', 'worker' => 'ok', 'backup' => 'ok'];
        $this->assertSame($well, $this->health(200));
        exec("pkill -KILL -f 'almanac:work {$this->server?->getPid()}$'");
        $this->assertSame(['status' => 'failing', 'database' => 'ok', 'worker' => 'failing', 'backup' => 'ok'], $this->health(503));
        $this->assertSame($well, $this->health(200));

        // Requests are noted without what was asked in them.
        $this->ask('GET', '/calendar/'.str_repeat('s3cr', 10).'.ics');
        $log = (string) file_get_contents("$this->folder/office/logs/access.log");
        $this->assertStringContainsString('GET /api/find', $log);
        $this->assertStringContainsString('GET /calendar/', $log);
        $this->assertStringNotContainsString('Bell', $log);
        $this->assertStringNotContainsString('s3cr', $log);
        $this->assertStringNotContainsString('ERROR', (string) @file_get_contents("$this->folder/office/logs/php-fpm.log"));
        $this->assertSame('', (string) @file_get_contents("$this->folder/office/logs/php.log"));
    }

    public function test_what_cannot_be_installed_is_refused_before_anything_is_written(): void
    {
        $this->install();
        $this->assertSame(0600, fileperms("$this->folder/server/environment") & 0777);
        $this->assertStringContainsString("url_of_it\n", str_replace("--url\n", 'url_of_it'."\n", (string) file_get_contents("$this->folder/server.options")));
        $before = glob("$this->folder/server/*");
        foreach ([
            [['--url', 'almanac.example'], 'Enter the address that people use'],
            [['--url', 'https://almanac.example', '--user', 'nobody-of-that-name'], 'There is no user'],
            [['--url', 'https://almanac.example', '--certificate', '/none.pem'], 'Give both --certificate and --certificate-key'],
            [['--url', 'http://almanac.example', '--certificate', __FILE__, '--certificate-key', __FILE__], 'the address begins with https://'],
            [['--url', 'http://almanac.example', '--listen', '80; include /etc/passwd'], 'Enter a port'],
            [['--url', 'http://almanac.example', '--proxies', '10.0.0.1"; x'], 'Enter the addresses of proxies'],
            [['--url', 'http://almanac.example', '--to', '/tmp/a b'], 'without spaces'],
            [['--colour', 'blue'], 'Unknown option'],
        ] as [$options, $why]) {
            $refused = $this->process(['bin/install-server', ...$options]);
            $this->assertNotSame(0, $refused->run(), implode(' ', $options));
            $this->assertStringContainsString($why, $refused->getErrorOutput());
        }
        $this->assertSame($before, glob("$this->folder/server/*"));
        // Without options: as last time.
        $this->assertSame(0, $this->process(['bin/install-server'])->run());
    }

    private function install(): void
    {
        $this->folder = sys_get_temp_dir().'/almanac-server-'.getmypid().'-'.bin2hex(random_bytes(4));
        foreach (['logs', 'framework/cache', 'framework/sessions', 'framework/views', 'app'] as $part) {
            mkdir("$this->folder/office/$part", 0700, true);
        }
        DB::statement('VACUUM INTO ?', ["$this->folder/office/almanac.sqlite"]);
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $this->assertIsResource($socket);
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $this->url = "https://localhost:$port";
        $key = openssl_pkey_new() ?: throw new \LogicException;
        $request = openssl_csr_new(['commonName' => 'localhost'], $key) ?: throw new \LogicException;
        $this->assertTrue($request !== true);
        $certificate = openssl_csr_sign($request, null, $key, 2) ?: throw new \LogicException;
        openssl_x509_export_to_file($certificate, "$this->folder/certificate.pem");
        openssl_pkey_export_to_file($key, "$this->folder/key.pem");
        $this->process([
            'bin/install-server', '--url', $this->url, '--certificate', "$this->folder/certificate.pem", '--certificate-key', "$this->folder/key.pem",
            '--listen', "127.0.0.1:$port", '--user', trim((string) shell_exec('id -un')), '--workers', '2',
        ])->mustRun();
    }

    private function start(): void
    {
        $this->server = $this->process(['bin/serve-nginx', "$this->folder/server"]);
        $this->server->start();
        for ($tries = 0; $tries < 200 && $this->ask('GET', '/health')[0] !== 200; $tries++) {
            $this->assertTrue($this->server->isRunning(), $this->server->getErrorOutput());
            usleep(100_000);
        }
    }

    /** @return array<mixed> */
    private function health(int $expected): array
    {
        for ($tries = 0; ($answer = $this->ask('GET', '/health'))[0] !== $expected && $tries < 50; $tries++) {
            usleep(100_000);
        }

        return (array) json_decode($answer[2], true);
    }

    /** @param  list<string>  $command */
    private function process(array $command): Process
    {
        return new Process($command, base_path(), [
            'LARAVEL_STORAGE_PATH' => "$this->folder/office", 'DB_DATABASE' => "$this->folder/office/almanac.sqlite", 'APP_KEY' => config()->string('app.key'),
            // As on a machine where nobody tests.
            'APP_ENV' => false, 'CACHE_STORE' => false, 'SESSION_DRIVER' => false, 'QUEUE_CONNECTION' => false, 'ALMANAC_TODAY' => false,
        ], null, 120);
    }

    /**
     * @param non-empty-string $method
     * @param array<string, mixed> $input
     * @param list<string> $headers
     *
     * @return array{int, array<string, list<string>>, string} status, headers, body
     */
    private function ask(string $method, string $path, array $input = [], array $headers = []): array
    {
        static $handle = null;
        $handle ??= curl_init();
        $url = $this->url.$path;
        $answered = [];
        $token = '';
        foreach (curl_getinfo($handle, CURLINFO_COOKIELIST) ?: [] as $cookie) {
            $token = str_contains($cookie, "\tXSRF-TOKEN\t") ? urldecode((string) strrchr($cookie, "\t")) : $token;
        }
        curl_setopt_array($handle, [
            CURLOPT_URL => $url, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 30,
            CURLOPT_PATH_AS_IS => true, CURLOPT_CAINFO => "$this->folder/certificate.pem", CURLOPT_COOKIEFILE => '',
            CURLOPT_POSTFIELDS => $input === [] ? '' : json_encode($input, JSON_THROW_ON_ERROR),
            CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "Referer: $this->url/", 'X-XSRF-TOKEN: '.trim($token), ...$headers],
            CURLOPT_HEADERFUNCTION => function (\CurlHandle $handle, string $line) use (&$answered): int {
                if (str_contains($line, ':')) {
                    [$name, $value] = explode(':', trim($line), 2);
                    $answered[strtolower($name)][] = trim($value);
                }

                return strlen($line);
            },
        ]);
        $body = curl_exec($handle);

        return [curl_getinfo($handle, CURLINFO_RESPONSE_CODE), $answered, (string) $body];
    }
}
