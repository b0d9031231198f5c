<?php

declare(strict_types=1);

namespace App\Outside;

/** What the DNS says of a name; nothing where it says nothing, or does not answer. */
class NameService
{
    /** Of the resolver of the system, which would wait a minute. */
    private const PATIENCE = 'timeout:2 attempts:1';

    /** @return list<array{target: string, port: int, priority: int, weight: int}> SRV records, RFC 2782 */
    public function servers(string $name): array
    {
        return array_map(fn (array $one) => [
            'target' => (string) $one['target'], 'port' => (int) $one['port'], 'priority' => (int) $one['pri'], 'weight' => (int) $one['weight'],
        ], $this->ask($name, DNS_SRV));
    }

    /** @return list<string> TXT records */
    public function texts(string $name): array
    {
        return array_map(fn (array $one) => (string) $one['txt'], $this->ask($name, DNS_TXT));
    }

    /** @return list<array<string, mixed>> */
    private function ask(string $name, int $type): array
    {
        NoTransaction::assert();
        $before = getenv('RES_OPTIONS');
        putenv('RES_OPTIONS='.self::PATIENCE);
        try {
            return @dns_get_record($name, $type) ?: [];
        } finally {
            putenv($before === false ? 'RES_OPTIONS' : "RES_OPTIONS=$before");
        }
    }
}
