<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ListedTerms;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

final class TermsTest extends TestCase
{
    public function test_without_terms_of_their_own_the_offices_hold(): void
    {
        $company = $this->addCompany('Penhallow Observatory');
        $this->getJson("/api/parties/{$company->id}")
            ->assertJsonPath('clientTerms.source', 'office')
            ->assertJsonPath('clientTerms.inForce', 'net 30')
            ->assertJsonPath('clientTerms.today.sentence', '24 Nov 2026, plus 30 days, is Thu 24 Dec 2026.');
    }

    public function test_terms_are_typed_for_each_side(): void
    {
        $company = $this->addCompany('Swiftwing Couriers');
        $this->saveSection($company, 'client-terms', ['listedId' => null, 'shorthand' => '2/10, n/30'])->assertOk()
            ->assertJsonPath('clientTerms.shorthand', '2/10 net 30')
            ->assertJsonPath('clientTerms.source', 'own')
            ->assertJsonPath('vendorTerms.source', 'office');
        $this->saveSection($company, 'vendor-terms', ['listedId' => null, 'shorthand' => 'COD'])->assertOk()
            ->assertJsonPath('vendorTerms.inForce', 'due on receipt');
        $this->assertSame('Payment terms: as the office -> 2/10 net 30', $this->changesOf($company)[1]);
    }

    public function test_terms_from_the_list_follow_the_list(): void
    {
        $company = $this->addCompany('Brass');
        $listed = ListedTerms::query()->firstWhere('name', 'Early payment');
        $this->saveSection($company, 'client-terms', ['listedId' => $listed?->id, 'shorthand' => null])
            ->assertOk()
            ->assertJsonPath('clientTerms.name', 'Early payment');
        $listed?->update(['shorthand' => '3/10 net 30']);
        $this->getJson("/api/parties/{$company->id}")->assertJsonPath('clientTerms.inForce', '3/10 net 30');
        $this->saveSection($company, 'client-terms', ['listedId' => null, 'shorthand' => null], 1)
            ->assertOk()
            ->assertJsonPath('clientTerms.source', 'office');
    }

    #[
        TestWith([
            '2/40 net 30',
            'The discount (2/40) would end after the payment is due (net 30). Shorten its days, or make the terms longer.',
        ]),
    ]
    #[TestWith(['net -5', 'Payment cannot be due 5 days before the document. Write net 5, or due on receipt.'])]
    #[TestWith(['tomorrow', '“tomorrow” cannot be read as payment terms. Try net 30, 2/10 net 30, EOM, 10th prox or due on receipt.'])]
    public function test_terms_that_cannot_be_are_told_at_their_field(string $shorthand, string $message): void
    {
        $company = $this->addCompany('Brass');
        $this->saveSection($company, 'client-terms', ['listedId' => null, 'shorthand' => $shorthand])
            ->assertUnprocessable()->assertJsonPath('errors.0', ['field' => 'shorthand', 'message' => $message]);
        $this->asAdministrator()->postJson('/api/terms/preview', ['terms' => $shorthand, 'documentDate' => 'today'])
            ->assertOk()->assertJsonPath('preview', null)->assertJsonPath('problems.0', ['field' => 'terms', 'message' => $message]);
    }

    public function test_terms_that_left_the_list_are_told(): void
    {
        $this->saveSection($this->addCompany('Brass'), 'client-terms', ['listedId' => 999, 'shorthand' => null])
            ->assertUnprocessable()->assertJsonPath('errors.0.field', 'listedId');
    }

    public function test_the_preview_says_when_and_why(): void
    {
        $this->asAdministrator()->postJson('/api/terms/preview', ['terms' => '2/10 net 30', 'documentDate' => 'jan 31'])->assertOk()
            ->assertJsonPath('preview.documentDate', '2026-01-31')
            ->assertJsonPath('preview.due', '2026-03-02')
            ->assertJsonPath('preview.dueText', 'Mon 2 Mar 2026')
            ->assertJsonPath('preview.discount.lastDay', '2026-02-10')
            ->assertJsonPath('preview.discount.costPerYear', '37.24')
            ->assertJsonPath(
                'preview.sentence',
                '31 Jan 2026, plus 30 days, is Mon 2 Mar 2026. 2% off until 10 Feb 2026; not taking it costs 37.24% a year.',
            );
    }

    #[TestWith(['31 February', 'There is no 31 February: February 2026 has 28 days.'])]
    #[TestWith(['9999-12-31', 'The year 10000 is out of range: years run from 1 to 9999.'])]
    #[TestWith(['', '“” is not a date we can read. Try 31 Jan 2026, 2026-01-31, jan 31 or +30.'])]
    public function test_a_date_that_cannot_be_is_told(string $date, string $message): void
    {
        $this->asAdministrator()->postJson('/api/terms/preview', ['terms' => 'net 30', 'documentDate' => $date])
            ->assertOk()->assertJsonPath('problems.0', ['field' => 'documentDate', 'message' => $message]);
    }
}
