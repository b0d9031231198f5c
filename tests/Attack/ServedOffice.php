<?php

declare(strict_types=1);

namespace Tests\Attack;

/** An office in a file of its own behind a server of several processes, so that requests come at once as they do from several desks. */
trait ServedOffice
{
    use OfficeInAFile {
        setUp as private makeOffice;
        tearDown as private removeOffice;
    }

    private string $url;

    /** @var resource */
    private $server;

    private string $token;

    protected function setUp(): void
    {
        $this->makeOffice();
        $this->token = $this->administrator->createToken('test')->plainTextToken;
        $this->start();
    }

    protected function tearDown(): void
    {
        $pid = proc_get_status($this->server)['pid'];
        exec("pkill -KILL -P $pid; kill -KILL $pid");
        proc_close($this->server);
        $this->removeOffice();
    }

    private function start(): void
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $this->assertIsResource($socket);
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $this->url = "http://127.0.0.1:$port";
        $environment =
            [
                'APP_KEY' => config()->string('app.key'),
                'DB_DATABASE' => $this->database,
                'PHP_CLI_SERVER_WORKERS' => '5',
                'CACHE_STORE' => 'file',
                'LARAVEL_STORAGE_PATH' => storage_path(),
            ] + getenv();
        $server = proc_open(
            [
                PHP_BINARY,
                '-d',
                'opcache.enable=1',
                '-d',
                'variables_order=EGPCS',
                '-d',
                'memory_limit=256M',
                '-S',
                "127.0.0.1:$port",
                '-t',
                'public',
                'public/router.php',
            ],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
            base_path(),
            $environment,
        );
        $this->assertIsResource($server);
        $this->server = $server;
        for ($tries = 0; $tries < 600 && @file_get_contents("{$this->url}/api/session") === false; $tries++) {
            usleep(50_000);
        }
    }

    /**
     * Sends requests at once and waits for all of them. One that is told to come again, because somebody else holds
     * the lock for longer than it waits (503 with Retry-After), does so, as the browser does.
     *
     * @param list<array{0: string, 1: string, 2?: array<string, mixed>, 3?: string}> $requests method, path, input, idempotency key
     *
     * @return list<array{int, string, bool}> status, body, and whether it is an earlier answer told again
     */
    private function atOnce(array $requests): array
    {
        $answers = $this->send($requests);
        for ($tries = 0; $tries < 20 && ($again = array_filter($answers, fn (array $answer) => $answer[0] === 503)) !== []; $tries++) {
            sleep(1);
            $answers = array_combine(array_keys($again), $this->send(array_values(array_intersect_key($requests, $again)))) + $answers;
        }
        ksort($answers);

        return array_values($answers);
    }

    /**
     * @param list<array{0: string, 1: string, 2?: array<string, mixed>, 3?: string}> $requests
     *
     * @return list<array{int, string, bool}>
     */
    private function send(array $requests): array
    {
        $multi = curl_multi_init();
        $handles = [];
        $replayed = [];
        foreach ($requests as $at => $request) {
            $handle = curl_init($this->url.$request[1]);
            $this->assertNotFalse($handle);
            curl_setopt($handle, CURLOPT_CUSTOMREQUEST, $request[0] ?: 'GET');
            curl_setopt($handle, CURLOPT_RETURNTRANSFER, true);
            curl_setopt($handle, CURLOPT_TIMEOUT, 60);
            curl_setopt($handle, CURLOPT_POSTFIELDS, (string) json_encode($request[2] ?? new \stdClass()));
            curl_setopt($handle, CURLOPT_HTTPHEADER, [
                'Content-Type: application/json',
                'Accept: application/json',
                "Authorization: Bearer {$this->token}",
                ...isset($request[3]) ? ["Idempotency-Key: {$request[3]}"] : [],
            ]);
            curl_setopt($handle, CURLOPT_HEADERFUNCTION, function (\CurlHandle $handle, string $line) use ($at, &$replayed): int {
                $replayed[$at] = ($replayed[$at] ?? false) || stripos($line, 'Idempotency-Replayed') === 0;

                return strlen($line);
            });
            curl_multi_add_handle($multi, $handle);
            $handles[$at] = $handle;
        }
        do {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.1);
        } while ($running > 0);

        return array_map(
            fn (int $at) => [
                (int) curl_getinfo($handles[$at], CURLINFO_RESPONSE_CODE),
                (string) curl_multi_getcontent($handles[$at]),
                $replayed[$at] ?? false,
            ],
            array_keys($handles),
        );
    }

    /**
     * The same request many times at once.
     *
     * @param array<string, mixed> $input
     *
     * @return array<int, int> how many had which status
     */
    private function race(int $times, string $method, string $path, array $input = []): array
    {
        $statuses = array_count_values(array_column($this->atOnce(array_fill(0, $times, [$method, $path, $input])), 0));
        ksort($statuses);

        return $statuses;
    }
}
