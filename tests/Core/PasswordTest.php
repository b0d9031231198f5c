<?php

declare(strict_types=1);

namespace Tests\Core;

use Almanac\Access\Password;
use Almanac\Access\PasswordRefused;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** NIST SP 800-63B, section 5.1.1.2. */
final class PasswordTest extends TestCase
{
    #[TestWith(['pendulum-1742'])]
    #[TestWith(['correct-horse-battery'])]
    #[TestWith(['über den Dächern'])]
    #[TestWith(['maud keeps the bells'])]
    public function test_what_is_taken(string $password): void
    {
        $this->expectNotToPerformAssertions();
        Password::mustBeGood($password, ['maud@orreryvane.example', 'Maud Ferris']);
    }

    #[TestWith(['short-1', 'at least 12 characters'])]
    #[TestWith(['maud@orreryvane.example', 'Your name or email'])]
    #[TestWith(['Maud@Orreryvane.example', 'Your name or email'])]
    #[TestWith(['2026-maud.ferris!', 'Your name or email'])]
    #[TestWith(['maudferrismaud', 'Your name or email'])]
    #[TestWith(['ferris-maud-ferris-1', 'Your name or email'])]
    #[TestWith(['password12345678', 'tried first'])]
    #[TestWith(['!!Welcome2026!!', 'tried first'])]
    #[TestWith(['letmeinletmein', 'tried first'])]
    #[TestWith(['aaaaaaaaaaaaaaaa', 'tried first'])]
    #[TestWith(['123456789012', 'tried first'])]
    #[TestWith(['qwertyuiopas', 'tried first'])]
    public function test_what_is_refused(string $password, string $said): void
    {
        $this->expectException(PasswordRefused::class);
        $this->expectExceptionMessage($said);
        Password::mustBeGood($password, ['maud@orreryvane.example', 'maud.ferris']);
    }

    public function test_nothing_is_cut_silently(): void
    {
        $this->expectExceptionMessage('at most 72 bytes');
        Password::mustBeGood(str_repeat('pendulum', 10), []);
    }
}
