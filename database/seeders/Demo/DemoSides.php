<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Almanac\Banking\BankState;
use Almanac\Banking\Confirmation;
use Almanac\Records\SectionName;
use App\Actions\Banking\KeepBankDetails;
use App\Actions\Records\SaveSection;
use App\Actions\Records\TaxNumbersSection;
use App\Actions\Records\TermsSection;
use App\Facts\Records\SectionVersions;
use App\Models\BankDetail;
use App\Models\Party;
use App\Models\TaxNumber;
use App\Models\TaxRate;
use App\Models\User;
use App\Time\Clock;

/** How those of the demo office are billed and paid: terms of their own, bank details, forms. */
final readonly class DemoSides
{
    use TellsDaysAgo;

    public function __construct(
        private KeepBankDetails $bank,
        private SaveSection $save,
        private TaxNumbersSection $taxNumbers,
        private Clock $clock,
    ) {
    }

    /**
     * @param array<string, Party> $parties by the name in DemoRecords
     * @param list<User> $users
     */
    public function seed(array $parties, array $users): void
    {
        $this->sides($parties, $users);
        $this->bankDetails($parties, $users);
        $this->forms($parties, $users[0]);
    }

    /**
     * @param array<string, Party> $parties
     * @param list<User> $users
     */
    private function sides(array $parties, array $users): void
    {
        $exempt = (string) TaxRate::query()->where('name', 'Exempt')->firstOrFail()->id;
        foreach ([
            ['town', 'client', ['tax-rate' => $exempt, 'reference' => 'PO 88-214', 'delivery' => 'post']],
            ['parish', 'client', ['tax-rate' => $exempt, 'delivery' => 'post']],
            ['observatory', 'client', ['limit' => '12000', 'send-to' => 'Accounts, South Dome']],
            ['insurer', 'client', ['limit' => '6000', 'credit-policy' => 'ask', 'delivery' => 'portal']],
            ['edith', 'client', ['limit' => '1500', 'discount' => '5']],
            ['foundry', 'vendor', ['account-number' => '7714', 'pay-by' => 'cheque', 'limit' => '8000']],
            ['gearcutter', 'vendor', ['account-number' => 'K-3308', 'currency' => 'EUR']],
            ['regula', 'vendor', ['currency' => 'CHF']],
            ['bellfounder', 'vendor', ['currency' => 'GBP', 'account-number' => 'ORR-12']],
            ['leather', 'vendor', ['currency' => 'CAD', 'pay-by' => 'card']],
            ['courier', 'vendor', ['pay-by' => 'direct-debit', 'account-number' => 'OV-5520']],
        ] as [$key, $side, $fields]) {
            $party = $parties[$key];
            $kept = $party->fresh(['clientTerms', 'vendorTerms']);
            $terms = $side === 'client' ? $kept?->clientTerms : $kept?->vendorTerms;
            $section = $side === 'client' ? TermsSection::whenWeBillThem() : TermsSection::whenWePayThem();
            $this->save->handle(
                $section,
                $party,
                [
                    'listedId' => $terms?->payment_terms_id,
                    'shorthand' => $terms?->shorthand,
                    'fields' => array_map(
                        fn (string $name, string $value) => ['name' => $name, 'value' => $value],
                        array_keys($fields),
                        $fields,
                    ),
                ],
                SectionVersions::of($party, $section->name()),
                $users[0],
            );
        }
    }

    /**
     * Published test numbers, all of them.
     *
     * @param array<string, Party> $parties
     * @param list<User> $users
     */
    private function bankDetails(array $parties, array $users): void
    {
        $blank = ['iban' => '', 'bic' => '', 'routing' => '', 'sortCode' => '', 'account' => '', 'use' => 'checking', 'bankName' => ''];
        foreach (
            [
                [
                    'gearcutter',
                    [
                        'kind' => 'iban',
                        'iban' => 'DE89 3704 0044 0532 0130 00',
                        'bic' => 'COBADEFFXXX',
                        'holder' => 'Zahnrad Lindqvist GmbH',
                    ],
                ],
                ['regula', ['kind' => 'iban', 'iban' => 'CH93 0076 2011 6238 5295 7', 'holder' => 'Regula']],
                [
                    'bellfounder',
                    [
                        'kind' => 'uk',
                        'sortCode' => '20-00-00',
                        'account' => '55779911',
                        'holder' => 'Tarn & Whitlow Bellfounders Ltd',
                    ],
                ],
                ['isolde', ['kind' => 'us', 'routing' => '123456780', 'account' => '000123456789', 'holder' => 'Quill Gilding']],
            ] as [$key, $input]
        ) {
            $this->bank->add($parties[$key], $input + $blank, $users[1]);
            $this->bank->confirm($this->held($parties[$key]), Confirmation::Call, $users[2]);
        }
        // A change that waits to be confirmed.
        $this->bank->add(
            $parties['foundry'],
            ['kind' => 'us', 'routing' => '011399991', 'account' => '1111222233330000', 'holder' => 'Brass Lantern Foundry LLC'] +
                $blank,
            $users[1],
        );
        $this->bank->addCard(
            $parties['edith'],
            [
                'number' => '4111 1111 1111 1111',
                'expires' => substr($this->clock->today()->plusMonths(16)->toIso(), 5, 2).
                    '/'.
                    substr($this->clock->today()->plusMonths(16)->toIso(), 0, 4),
                'holder' => 'Edith',
                'postcode' => '05301',
            ],
            $users[0],
        );
    }

    /** @param  array<string, Party>  $parties */
    private function forms(array $parties, User $by): void
    {
        foreach ([['foundry', 'Silas Wren'], ['isolde', '']] as [$key, $signed]) {
            $party = $parties[$key];
            $this->save->handle(
                $this->taxNumbers,
                $party,
                [
                    'taxNumbers' => array_values(
                        $party
                            ->taxNumbers()
                            ->get()
                            ->map(
                                fn (TaxNumber $number) => [
                                    'id' => $number->id,
                                    'kind' => $number->kind->value,
                                    'country' => $number->country,
                                    'value' => null,
                                ],
                            )
                            ->all(),
                    ),
                    'formOn' => $signed === '' ? '' : $this->daysAgo(290),
                    'formBy' => $signed,
                    'formFileId' => null,
                    'reportChoice' => 'by-rule',
                    'isAttorney' => false,
                ],
                SectionVersions::of($party, SectionName::TaxNumbers),
                $by,
            );
        }
    }

    private function held(Party $party): BankDetail
    {
        return $party->bankDetails()->where('state', BankState::OnHold)->firstOrFail();
    }
}
