<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Ledger\DocumentKind;
use Almanac\Terms\Side;
use App\Facts\Ledger\PartyBooks;
use App\Models\Allocation;
use App\Models\Document;
use App\Models\Party;
use App\Models\Payment;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;
use Tests\KeptAsTheCoreHasIt;
use Tests\TestCase;

/**
 * Random books with parent companies, limits, currencies and instalments, and records that change meanwhile: every
 * projection is as the core has it.
 */
final class RandomBooksTest extends TestCase
{
    use KeptAsTheCoreHasIt;

    public function test_what_is_kept_over_all_records_is_as_the_core_has_it_after_each_step(): void
    {
        mt_srand(2026);
        $parties = [
            $this->addCompany('Penhallow', ['isClient' => true]),
            $this->addCompany('Brass', ['isVendor' => true]),
            $this->addCompany('Both'),
        ];
        $this->addPerson('Silas', 'Wren', ['companyId' => $parties[0]->id]);
        $this->postJson('/api/currency-rates', ['currency' => 'EUR', 'day' => '2025-01-01', 'rate' => '1.10'])->assertCreated();
        $clock = $this->app->make(Clock::class);
        $parent = [
            'id' => null,
            'partyId' => $parties[0]->id,
            'kind' => 'parent company',
            'together' => 'alone',
            'since' => '',
            'until' => '',
        ];
        $this->saveSection($parties[2], 'relations', ['relations' => [$parent]])->assertOk();
        for ($n = 0; $n < 80; $n++) {
            $party = $parties[mt_rand(0, 2)];
            if ($n % 8 === 0) {
                // A limit of its own or, for the branch, of its parent company; or none.
                $this->saveSection(
                    $party,
                    'client-terms',
                    [
                        'listedId' => null,
                        'shorthand' => null,
                        'fields' => [['name' => 'limit', 'value' => mt_rand(0, 3) === 0 ? null : (string) mt_rand(1, 3000)]],
                    ],
                    (int) DB::table('section_versions')
                        ->where(['subject_id' => $party->id, 'section' => 'client-terms'])
                        ->value('version'),
                )->assertOk();
            }
            $this->oneStep($party, $clock->today()->plusDays(-mt_rand(0, 300))->toIso(), $n);
            if ($n % 3 === 0) {
                $this->changeRecord($parties[mt_rand(0, 2)], $parties[mt_rand(0, 2)], $n);
            }
            $this->assertSame($this->fromCore($party), $this->kept($party), "after step $n");
            $this->assertBooksAddUp($party);
            $this->assertKeptAsTheCoreHasIt("after step $n");
        }
        foreach ($parties as $party) {
            $this->assertBooksAddUp($party);
        }
    }

    /** One of the things that happen to records. */
    private function changeRecord(Party $party, Party $other, int $n): void
    {
        $version = fn (string $section) => (int) DB::table('section_versions')
            ->where(['subject_id' => $party->id, 'section' => $section])
            ->value('version');
        $parent = [
            'id' => null,
            'partyId' => $other->id,
            'kind' => 'parent company',
            'together' => 'alone',
            'since' => '',
            'until' => '',
        ];
        $nothing = [
            'types' => [],
            'tags' => [],
            'ownerId' => null,
            'accountManagerId' => null,
            'buyerId' => null,
            'source' => '',
            'language' => '',
            'grade' => null,
            'codes' => [],
        ];
        match (mt_rand(0, 4)) {
            0 => $this->saveSection(
                $party,
                'reach',
                [
                    'contactPoints' => [
                        $this->contact('phone', '802-555-01'.sprintf('%02d', $n % 100)),
                        $this->contact('email', "n$n@b.example"),
                    ],
                ],
                $version('reach'),
            )->assertOk(),
            1 => $this->saveSection(
                $party,
                'addresses',
                ['addresses' => [$this->address(['lines' => "$n Meridian Lane", 'postcode' => mt_rand(0, 1) === 0 ? '' : '05301'])]],
                $version('addresses'),
            )->assertOk(),
            2 => $this->saveSection(
                $party,
                'relations',
                ['relations' => $party->is($other) || mt_rand(0, 2) === 0 ? [] : [$parent]],
                $version('relations'),
            )->assertOk(),
            3 => $this->saveSection(
                $party,
                'classification',
                ['ownerId' => mt_rand(0, 1) === 0 ? null : $this->administrator->id, 'tags' => ["tag $n"]] + $nothing,
                $version('classification'),
            )->assertOk(),
            default => $this->saveSection(
                $party,
                'identity',
                ['name' => "Name $n"] + (array) $this->getJson("/api/parties/{$party->id}")->json('identity'),
                $version('identity'),
            )->assertOk(),
        };
    }

    /** One of the things that happen to books. */
    private function oneStep(Party $party, string $date, int $n): void
    {
        $currency = ['USD', 'USD', 'EUR'][mt_rand(0, 2)];
        $open = Document::query()
            ->where('party_id', $party->id)
            ->open()
            ->whereIn('kind', ['invoice', 'bill'])
            ->where('currency', $currency)
            ->inRandomOrder(mt_rand())
            ->first();
        $kind = ['invoice', 'bill', 'credit-note', 'credit-received'][mt_rand(0, 3)];
        if ($n % 2 === 0 || $open === null) {
            $this->issued($party, $kind, (string) (mt_rand(1, 90000) / 100), [
                'date' => $date,
                'currency' => $currency,
                'number' => "N$n",
                'terms' => str_contains($kind, 'credit') ? '' : ['net 30', 'EOM', '30% on receipt, 70% net 30'][mt_rand(0, 2)],
            ]);

            return;
        }
        $part = $open->money(mt_rand(1, $open->open_minor))->toDecimal();
        match (mt_rand(0, 3)) {
            0 => $this->postJson("/api/documents/{$open->id}/write-off", ['amount' => $part, 'reason' => 'r'])->assertOk(),
            1 => ($allocation = Allocation::query()
                ->whereHas('document', fn ($documents) => $documents->where('party_id', $party->id))
                ->inRandomOrder(mt_rand())
                ->first()) === null
                ? null
                : $this->deleteJson("/api/allocations/{$allocation->id}")->assertOk(),
            default => $this->pay(
                $party,
                (string) ((float) $part + mt_rand(0, 500) / 100),
                [$open->id => $part],
                ['side' => $open->kind->side()->value, 'currency' => $currency, 'day' => $date],
            )->assertCreated(),
        };
    }

    /** @return list<array<int, mixed>> */
    private function fromCore(Party $party): array
    {
        $told = [];
        foreach (PartyBooks::ofMany([$party->id], $this->app->make(Clock::class)->today())[$party->id] ?? [] as $standing) {
            $told[] = [
                $standing->side->value,
                $standing->currency,
                $standing->open->minor,
                $standing->credits->minor,
                $standing->unallocated->minor,
                $standing->overdue->minor,
                $standing->daysToPay?->tenths(),
            ];
        }
        sort($told);

        return $told;
    }

    /** @return list<array<int, mixed>> */
    private function kept(Party $party): array
    {
        $rows = DB::table('standings')
            ->where('party_id', $party->id)
            ->get()
            ->map(
                fn ($row) => [
                    $row->side,
                    $row->currency,
                    $row->open_minor,
                    $row->credits_minor,
                    $row->unallocated_minor,
                    $row->overdue_minor,
                    $row->days_to_pay_tenths,
                ],
            )
            ->all();
        sort($rows);

        return $rows;
    }

    /** What was written less what settled it is what is open; no cent is lost. */
    private function assertBooksAddUp(Party $party): void
    {
        foreach (Side::cases() as $side) {
            $kinds = array_filter(DocumentKind::cases(), fn (DocumentKind $kind) => $kind->side() === $side && $kind->isOwed());
            $documents = Document::query()->where('party_id', $party->id)->whereIn('kind', $kinds)->issued()->get();
            $settled = (int) Allocation::query()->whereIn('document_id', $documents->pluck('id'))->sum('amount_minor');
            $this->assertSame($documents->sum('total_minor') - $settled, $documents->sum('open_minor'));
            $payments = Payment::query()->where('party_id', $party->id)->where('side', $side)->where('is_void', false)->get();
            $used = (int) Allocation::query()
                ->whereIn('payment_id', $payments->pluck('id'))
                ->where('kind', Allocation::PAYMENT)
                ->sum('amount_minor');
            $this->assertSame($payments->sum('amount_minor') - $used, $payments->sum('unallocated_minor'));
        }
    }
}
