<?php

declare(strict_types=1);

namespace Bench;

use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/** The office behind a server, as `./almanac serve` starts it, and one who asks it. */
final class Served
{
    private \CurlHandle $curl;

    /** @param  resource  $process */
    private function __construct(private $process, public readonly string $url, private readonly string $token)
    {
        $this->curl = curl_init();
    }

    /**
     * As `./almanac serve` does.
     *
     * @throws \RuntimeException when it does not start
     */
    public static function start(string $token, string $today): self
    {
        $port = 8490;

        return self::run($port, ['bin/serve-php', "127.0.0.1:$port", getenv('LARAVEL_STORAGE_PATH').'/framework/cache'], $token, $today);
    }

    /**
     * By nginx and php-fpm, as `./almanac install-server` configures them.
     *
     * @throws \RuntimeException when it does not start
     */
    public static function behindNginx(string $token, string $today): self
    {
        $port = 8491;
        $folder = getenv('LARAVEL_STORAGE_PATH').'/server';
        $install = ['bin/install-server', '--url', "http://127.0.0.1:$port", '--listen', "127.0.0.1:$port", '--to', $folder, '--user', trim((string) shell_exec('id -un'))];
        (new Process($install, base_path(), ['ALMANAC_TODAY' => $today]))->mustRun();

        return self::run($port, ['bin/serve-nginx', $folder], $token, $today);
    }

    /** @param  list<string>  $command */
    private static function run(int $port, array $command, string $token, string $today): self
    {
        if (@fsockopen('127.0.0.1', $port) !== false) {
            throw new \RuntimeException("Something is served at port $port already. Stop it first: it would be timed instead.");
        }
        $none = ['file', '/dev/null', 'w'];
        $process = proc_open(
            $command,
            [['file', '/dev/null', 'r'], $none, $none],
            $pipes,
            base_path(),
            ['APP_URL' => "http://127.0.0.1:$port", 'ALMANAC_TODAY' => $today] + getenv(),
        );
        if ($process === false) {
            throw new \RuntimeException('The server could not be started.');
        }
        $served = new self($process, "http://127.0.0.1:$port", $token);
        for ($tries = 0; @file_get_contents($served->url.'/api/session') === false; $tries++) {
            if ($tries > 200) {
                throw new \RuntimeException('The server does not answer.');
            }
            usleep(50_000);
        }

        return $served;
    }

    public function stop(): void
    {
        $pid = proc_get_status($this->process)['pid'];
        exec("pkill -TERM -P $pid; kill -TERM $pid");
        proc_close($this->process);
    }

    /** @throws \RuntimeException when it is refused */
    public function get(string $path): void
    {
        $this->ask($path, [CURLOPT_HTTPGET => true]);
    }

    /**
     * @return array<mixed> what is answered
     *
     * @throws \RuntimeException when it is refused
     */
    public function read(string $path): array
    {
        return (array) json_decode($this->ask($path, [CURLOPT_HTTPGET => true]), true, flags: JSON_THROW_ON_ERROR);
    }

    /**
     * @param array<string, mixed> $input
     *
     * @throws \RuntimeException when it is refused
     */
    public function send(string $method, string $path, array $input): void
    {
        $this->ask($path, [CURLOPT_CUSTOMREQUEST => $method, CURLOPT_POSTFIELDS => json_encode($input, JSON_THROW_ON_ERROR)]);
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return array<mixed> what is answered
     *
     * @throws \RuntimeException when it is refused
     */
    public function sent(string $method, string $path, array $input): array
    {
        $answer = $this->ask($path, [CURLOPT_CUSTOMREQUEST => $method, CURLOPT_POSTFIELDS => json_encode($input, JSON_THROW_ON_ERROR)]);

        return (array) json_decode($answer, true, flags: JSON_THROW_ON_ERROR);
    }

    /** Saves how somebody is reached: only a label is other, so that what the next run looks for is as it was. */
    public function saveReach(int $id, int $n): void
    {
        $version = (int) DB::table('section_versions')->where('subject_id', $id)->where('section', 'reach')->value('version');
        $points = array_map(
            fn (\stdClass $point) => [
                'id' => $point->id, 'kind' => $point->kind, 'value' => $point->typed, 'label' => "run $n", 'uses' => [],
                'isPrimary' => (bool) $point->is_primary, 'sameAsId' => null, 'addressUseId' => null,
            ],
            DB::select('SELECT id, kind, typed, is_primary FROM contact_points WHERE party_id = ? ORDER BY rank', [$id]),
        );
        $this->send('PUT', "/api/parties/$id/reach", ['version' => $version, 'contactPoints' => $points]);
    }

    /** @param  array<int, mixed>  $options */
    private function ask(string $path, array $options): string
    {
        curl_reset($this->curl);
        curl_setopt_array($this->curl, $options + [
            CURLOPT_URL => $this->url.$path, CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "Authorization: Bearer $this->token"],
        ]);
        $answer = curl_exec($this->curl);
        $status = curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
        if ($status >= 300 || $status === 0) {
            throw new \RuntimeException("$path answered $status: ".substr((string) $answer, 0, 300));
        }

        return (string) $answer;
    }
}
