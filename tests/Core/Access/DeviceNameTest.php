<?php

declare(strict_types=1);

namespace Tests\Core\Access;

use Almanac\Access\DeviceName;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DeviceNameTest extends TestCase
{
    /** @return iterable<array{string, string}> from memory: the forms that browsers have */
    public static function agents(): iterable
    {
        $webkit = 'AppleWebKit/537.36 (KHTML, like Gecko)';
        yield ["Mozilla/5.0 (X11; Linux x86_64) $webkit Chrome/156.0 Safari/537.36", 'Chrome on Linux'];
        yield ["Mozilla/5.0 (Windows NT 10.0; Win64; x64) $webkit Chrome/156.0 Safari/537.36 Edg/156.0", 'Edge on Windows'];
        yield ['Mozilla/5.0 (Windows NT 10.0; Win64; x64; rv:150.0) Gecko/20100101 Firefox/150.0', 'Firefox on Windows'];
        yield ['Mozilla/5.0 (Macintosh; Intel Mac OS X 10_15_7) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/19.0 Safari/605.1.15', 'Safari on macOS'];
        yield ['Mozilla/5.0 (iPhone; CPU iPhone OS 19_0 like Mac OS X) AppleWebKit/605.1.15 Version/19.0 Mobile Safari/604.1', 'Safari on iOS'];
        yield ["Mozilla/5.0 (Linux; Android 15) $webkit Chrome/156.0 Mobile Safari/537.36", 'Chrome on Android'];
        yield ['curl/8.0', 'Another browser'];
        yield ['', 'Another browser'];
    }

    #[DataProvider('agents')]
    public function test_it_names_browser_and_system(string $agent, string $name): void
    {
        $this->assertSame($name, DeviceName::of($agent));
    }
}
