<?php

declare(strict_types=1);

namespace Tests\Core\Files;

use Almanac\Files\FileRefused;
use Almanac\Files\Logo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LogoTest extends TestCase
{
    public function test_it_is_kept_in_its_proportions_and_never_made_larger(): void
    {
        foreach (
            [
                [300, 100, 300, 100], [2400, 360, 1200, 180], [1000, 1000, 360, 360], [12_000, 3, 1200, 1],
                [1, 1, 1, 1],
            ] as [$width, $height, $keptWidth, $keptHeight]
        ) {
            $logo = Logo::of('image/png', 10, $width, $height);
            $this->assertSame([$keptWidth, $keptHeight], [$logo->width, $logo->height]);
        }
    }

    /** @return iterable<string, array{string, int, int, int, string}> */
    public static function refused(): iterable
    {
        yield 'empty' => ['image/png', 0, 1, 1, 'empty'];
        yield 'too large' => ['image/png', Logo::MOST_BYTES + 1, 1, 1, 'MB'];
        yield 'no picture' => ['application/pdf', 10, 100, 100, 'no picture'];
        yield 'a picture that does not tell its size' => ['image/png', 10, 0, 0, 'no picture'];
        yield 'small in the file and huge in memory' => ['image/png', 10, 60_000, 60_000, 'million pixels'];
        yield 'a width that no number holds' => ['image/png', 10, PHP_INT_MAX, 2, 'million pixels'];
    }

    #[DataProvider('refused')]
    public function test_what_is_refused_says_why(string $type, int $bytes, int $width, int $height, string $why): void
    {
        $this->expectException(FileRefused::class);
        $this->expectExceptionMessage($why);
        Logo::of($type, $bytes, $width, $height);
    }
}
