<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Document;
use App\Models\Party;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Every figure opens exactly the list that makes it up: all figures of random books, with parts, currencies and both ways of ageing. */
final class FiguresTest extends TestCase
{
    private const TERMS = [
        'net 30',
        'on receipt',
        '30% on receipt, 70% net 30',
        '2/10 net 30',
        '25% net 10, 25% net 40, 50% net 70',
        'EOM',
    ];

    #[TestWith([1, 'due-date'])]
    #[TestWith([2, 'due-date'])]
    #[TestWith([3, 'document-date'])]
    public function test_every_figure_of_random_books(int $seed, string $ageingBy): void
    {
        mt_srand($seed);
        $this->asAdministrator()
            ->putJson('/api/books', [
                'ageingBy' => $ageingBy,
                'warnAfter' => 30,
                'lateRate' => '',
                'latePerMonth' => false,
                'keepsUsHolidays' => true,
            ])
            ->assertOk();
        $this->postJson('/api/currency-rates', ['currency' => 'EUR', 'day' => '2025-01-01', 'rate' => '1.1'])->assertCreated();
        $this->postJson('/api/tax-rates', [
            'name' => 'Sales tax',
            'percent' => '6',
            'side' => 'client',
            'since' => '',
            'until' => '',
            'isRetired' => false,
        ])->assertCreated();
        $parties = [$this->addCompany('One', ['isClient' => true, 'isVendor' => true]), $this->addCompany('Two', ['isClient' => true])];
        for ($step = 0; $step < 45; $step++) {
            $this->step($parties[mt_rand(0, 1)], $step);
        }
        $walked = array_sum(array_map($this->walk(...), $parties));
        $this->assertGreaterThan(60, $walked);
        foreach (['due-this-week' => 'dueThisWeek', 'newly-overdue' => 'newlyOverdue'] as $state => $figure) {
            $listed = $this->getJson("/api/documents?state=$state".($state === 'newly-overdue' ? '&side=client' : ''))
                ->assertOk()
                ->json('rows.*.open.amount');
            $this->assertSame($listed, $this->getJson('/api/today')->json("$figure.*.open.amount"));
        }
    }

    private function step(Party $party, int $step): void
    {
        $side = mt_rand(0, 2) === 0 ? 'vendor' : 'client';
        $currency = mt_rand(0, 3) === 0 ? 'EUR' : 'USD';
        $day = sprintf('2026-%02d-%02d', mt_rand(6, 11), mt_rand(1, 24));
        $open = Document::query()
            ->where('party_id', $party->id)
            ->open()
            ->whereIn('kind', ['invoice', 'bill'])
            ->inRandomOrder(mt_rand())
            ->first();
        match (mt_rand(0, 5)) {
            0 => $this->issued($party, $side === 'client' ? 'credit-note' : 'credit-received', (string) mt_rand(1, 90), [
                'number' => "C$step",
                'terms' => '',
                'currency' => $currency,
                'date' => $day,
            ]),
            1 => $this->pay(
                $party,
                (string) mt_rand(1, 400),
                [],
                ['side' => $side, 'currency' => $currency, 'day' => $day, 'payBy' => ['cash', 'cheque', 'card'][mt_rand(0, 2)]],
            )->assertCreated(),
            2 => $open === null
                ? null
                : $this->pay(
                    $party,
                    $open->open()->toDecimal(),
                    [$open->id => mt_rand(0, 1) === 0 ? $open->open()->toDecimal() : '0.01'],
                    ['side' => $open->kind->side()->value, 'currency' => $open->currency, 'payBy' => 'cash'],
                )->assertCreated(),
            default => $this->issued($party, $side === 'client' ? 'invoice' : 'bill', (string) (mt_rand(100, 90000) / 100), [
                'number' => "N$step",
                'terms' => self::TERMS[mt_rand(0, 5)],
                'currency' => $currency,
                'date' => $day,
                'lines' => [
                    $this->line((string) (mt_rand(100, 90000) / 100), [
                        'taxRateId' => $side === 'client' && mt_rand(0, 1) === 1 ? 1 : null,
                    ]),
                ],
            ]),
        };
    }

    /** @return int how many figures were opened */
    private function walk(Party $party): int
    {
        $opened = 0;
        $standing = $this->getJson("/api/parties/{$party->id}")->assertOk()->json('standing');
        $list = "partyId={$party->id}";
        foreach ($standing['sides'] as $side) {
            $of = "$list&side={$side['side']}&currency={$side['currency']}";
            $credit = $side['side'] === 'client' ? 'credit-note' : 'credit-received';
            $figures = [
                [$side['open'], "/api/documents?$of&state=owed", 'open'],
                [$side['overdue'], "/api/documents?$of&state=overdue", 'open'],
                [$side['unallocated'], "/api/payments?$of&state=open", 'open'],
                [$side['turnover'], "/api/documents?$of&state=billed&from=2026-01-01&to=2026-12-31", 'net'],
                [$side['paid'], "/api/payments?$of&state=counted&from=2026-01-01&to=2026-12-31", 'total'],
            ];
            foreach ($side['ageing'] as $bucket) {
                $figures[] = [$bucket['amount'], "/api/documents?$of&bucket={$bucket['bucket']}", 'open'];
            }
            foreach ($figures as [$figure, $address, $column]) {
                $answer = $this->getJson($address)->assertOk();
                $this->assertSame($figure['amount'], $answer->json("sums.0.$column.amount") ?? '0.00', $address);
                if ($column === 'open') {
                    $this->assertSame($figure['sign'] === 0, $answer->json('total') === 0, "$address: what is in it is what it is made of");
                }
                $opened++;
            }
            $credits = $this->getJson("/api/documents?$of&state=open&kind=$credit")->json('sums.0.open.amount') ?? '0.00';
            $this->assertSame($side['credits']['amount'], ltrim((string) $credits, '-'));
        }
        foreach ($this->getJson("/api/parties/{$party->id}")->json('documents.counts') as $count) {
            $this->getJson("/api/documents?$list&kind={$count['kind']}&state={$count['state']}")->assertJsonPath('total', $count['count']);
            $opened++;
        }

        return $opened;
    }
}
