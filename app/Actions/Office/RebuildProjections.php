<?php

declare(strict_types=1);

namespace App\Actions\Office;

use App\Actions\Finding\IndexEngagements;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\KeepStandings;
use App\Database\LongWork;
use App\Models\BankDetail;
use App\Models\DetailField;
use App\Models\DetailValue;
use App\Models\TaxNumber;

/** Computes anew what is stored only to be found or compared fast: balances, search, gaps, fingerprints, sort keys. */
final readonly class RebuildProjections
{
    private const CHUNK = 500;

    public function __construct(private KeepStandings $standings, private IndexParties $parties, private IndexEngagements $engagements)
    {
    }

    public function handle(): void
    {
        $this->fingerprints();
        $this->sortKeys();
        // Balances first: readiness depends on them.
        $this->standings->everything();
        $this->parties->everything();
        $this->engagements->everything();
    }

    /** Of tax numbers and accounts, by which they are compared without being read. */
    private function fingerprints(): void
    {
        TaxNumber::query()->chunkById(self::CHUNK, function ($numbers): void {
            LongWork::step(fn () => $numbers->each(function (TaxNumber $number): void {
                // A number that the rules of today refuse keeps the fingerprint that it has.
                rescue(fn () => $number->setNumber($number->number()), null, false);
                $number->isDirty('fingerprint') && TaxNumber::query()->whereKey($number->id)->toBase()->update(['fingerprint' => $number->fingerprint]);
            }));
        });
        BankDetail::query()->chunkById(self::CHUNK, function ($details): void {
            LongWork::step(fn () => $details->each(function (BankDetail $detail): void {
                $account = rescue($detail->account(...), null, false);
                $account === null ?: $detail->setAccount($account);
                $detail->isDirty('fingerprint') && BankDetail::query()->whereKey($detail->id)->toBase()->update(['fingerprint' => $detail->fingerprint]);
            }));
        });
    }

    /** Of the office's own fields. */
    private function sortKeys(): void
    {
        $fields = DetailField::query()->get()->keyBy('id');
        DetailValue::query()->chunkById(self::CHUNK, function ($values) use ($fields): void {
            LongWork::step(fn () => $values->each(function (DetailValue $value) use ($fields): void {
                $field = $fields->get($value->field_id);
                if ($field !== null && ! $field->isSecret()) {
                    $sort = DetailValue::kept($field, $value->value)['sort'];
                    $sort === $value->sort || DetailValue::query()->whereKey($value->id)->toBase()->update(['sort' => $sort]);
                }
            }));
        });
    }
}
