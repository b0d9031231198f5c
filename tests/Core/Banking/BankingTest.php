<?php

declare(strict_types=1);

namespace Tests\Core\Banking;

use Almanac\Banking\AccountUse;
use Almanac\Banking\BankAccount;
use Almanac\Banking\BankingRefused;
use Almanac\Banking\CardNumber;
use Almanac\Banking\Confirmation;
use Almanac\Banking\PayBy;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class BankingTest extends TestCase
{
    /** Sample numbers of the ISO 13616 registry. */
    #[TestWith(['GB29 NWBK 6016 1331 9268 19'])]
    #[TestWith(['DE89 3704 0044 0532 0130 00'])]
    #[TestWith(['CH93 0076 2011 6238 5295 7'])]
    #[TestWith(['FR14 2004 1010 0505 0001 3M02 606'])]
    #[TestWith(['NO93 8601 1117 947'])]
    #[TestWith(['MT84 MALT 0110 0001 2345 MTLC AST0 01S'])]
    #[TestWith(['BR15 0000 0000 0000 1093 2840 814P 2'])]
    #[TestWith(['SA03 8000 0000 6080 1016 7519'])]
    public function test_published_ibans_are_taken_and_written_in_fours(string $iban): void
    {
        $account = BankAccount::iban(strtolower($iban), '');
        $this->assertSame($iban, $account->display());
        $this->assertSame('•••• '.substr(str_replace(' ', '', $iban), -4), $account->masked());
    }

    #[TestWith(['DE89370400440532013001', 'That cannot be the IBAN: its check digits do not match. Compare it with the paper.'])]
    #[
        TestWith([
            'DE8937040044053201300',
            'That is not a valid IBAN: it is written like DE89 3704 0044 0532 0130 00, as long as the country has it.',
        ]),
    ]
    #[
        TestWith([
            'US64SVBKUS6S3300958879',
            'That is not a valid IBAN: it is written like DE89 3704 0044 0532 0130 00, as long as the country has it.',
        ]),
    ]
    #[TestWith(['', 'Type the IBAN.'])]
    public function test_an_iban_that_cannot_be_is_told(string $iban, string $message): void
    {
        $this->assertSame($message, $this->refusal(fn () => BankAccount::iban($iban, '')));
    }

    public function test_the_bank_is_in_the_country_of_the_account(): void
    {
        $this->assertSame(
            'DE89 3704 0044 0532 0130 00, BIC COBADEFFXXX',
            BankAccount::iban('DE89370400440532013000', 'cobadeffxxx')->display(),
        );
        $this->assertSame(
            'The BIC is of a bank in FR, and the IBAN of one in DE.',
            $this->refusal(fn () => BankAccount::iban('DE89370400440532013000', 'BNPAFRPP')),
        );
        $this->assertSame(
            'That is not a valid BIC: it is written like COBADEFF or COBADEFFXXX.',
            $this->refusal(fn () => BankAccount::iban('DE89370400440532013000', 'COBADEF')),
        );
    }

    public function test_american_and_british_accounts(): void
    {
        $this->assertSame(
            'routing 021000021, account 000123456789, savings',
            BankAccount::us('021 000 021', '0001-2345-6789', AccountUse::Savings)->display(),
        );
        $this->assertSame(
            'That cannot be the routing number: its check digits do not match. Compare it with the paper.',
            $this->refusal(fn () => BankAccount::us('021000022', '1234', AccountUse::Checking)),
        );
        $this->assertSame(
            'That cannot be the routing number: its check digits do not match. Compare it with the paper.',
            $this->refusal(fn () => BankAccount::us('500000005', '1234', AccountUse::Checking)),
            'no district begins with 50',
        );
        $this->assertSame(
            'That is not a valid account number: it is written like 4 to 17 digits.',
            $this->refusal(fn () => BankAccount::us('021000021', '123', AccountUse::Checking)),
        );
        $this->assertSame('sort code 20-00-00, account 55779911', BankAccount::uk('200000', '55779911')->display());
        $this->assertSame(
            'That is not a valid sort code: it is written like 20-00-00.',
            $this->refusal(fn () => BankAccount::uk('20000', '55779911')),
        );
        $this->assertNotSame(BankAccount::uk('200000', '55779911')->identity(), BankAccount::uk('200001', '55779911')->identity());
    }

    /** Numbers that card schemes publish for tests. */
    #[TestWith(['4111 1111 1111 1111', 'Visa', '1111'])]
    #[TestWith(['5555-5555-5555-4444', 'Mastercard', '4444'])]
    #[TestWith(['2223003122003222', 'Mastercard', '3222'])]
    #[TestWith(['378282246310005', 'American Express', '0005'])]
    #[TestWith(['6011111111111117', 'Discover', '1117'])]
    #[TestWith(['30569309025904', 'Diners Club', '5904'])]
    #[TestWith(['3530111333300000', 'JCB', '0000'])]
    public function test_cards_are_known_by_their_first_digits(string $number, string $brand, string $last): void
    {
        $card = CardNumber::read($number);
        $this->assertSame([$brand, $last], [$card->brand, $card->lastFour()]);
    }

    public function test_every_single_wrong_digit_of_a_card_is_found(): void
    {
        $number = '4111111111111111';
        for ($at = 0; $at < 16; $at++) {
            for ($digit = 0; $digit < 10; $digit++) {
                $typed = substr_replace($number, (string) $digit, $at, 1);
                if ($typed !== $number) {
                    $this->assertSame(
                        'That cannot be the card number: its check digits do not match. Compare it with the paper.',
                        $this->refusal(fn () => CardNumber::read($typed)),
                    );
                }
            }
        }
    }

    public function test_nobody_confirms_what_they_entered(): void
    {
        Confirmation::mustBeSecondPerson(1, 2);
        $this->assertSame(
            'Whoever entered the details cannot confirm them. Ask a second person.',
            $this->refusal(fn () => Confirmation::mustBeSecondPerson(1, 1)),
        );
        $this->assertFalse(PayBy::Card->countsForTaxReport());
        $this->assertTrue(PayBy::Cheque->countsForTaxReport());
    }

    private function refusal(\Closure $work): string
    {
        try {
            $work();
        } catch (BankingRefused $refused) {
            return $refused->getMessage();
        }
        $this->fail('It was not refused.');
    }
}
