<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Ledger\DocumentKind;
use Almanac\Money\Money;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;
use App\Facts\Banking\WaysToPay;
use App\Facts\Ledger\PartyCopy;
use App\Facts\Ledger\UseChecks;
use App\Facts\Terms\DocumentTerms;
use App\Facts\Terms\SideDefaults;
use App\Http\Data\Banking\ClosedWayData;
use App\Http\Data\Banking\PayToData;
use App\Http\Data\Ledger\DocumentDefaultsData;
use App\Http\Data\Ledger\PartyCopyData;
use App\Http\Data\Ledger\UseData;
use App\Models\BankDetail;
use App\Models\Engagement;
use App\Models\Party;
use App\Time\Clock;

/** Reads what a new document for a party begins with. */
final readonly class ReadDefaults
{
    public function __construct(private Clock $clock, private UseChecks $check)
    {
    }

    /** @param  int|null  $engagementId  the case or the project that it will be for */
    public function handle(Party $party, DocumentKind $kind, ?int $engagementId): DocumentDefaultsData
    {
        $today = $this->clock->today();
        $side = SideDefaults::of($party, $kind->side(), $today);
        $ways = $kind->side() === Side::Vendor ? WaysToPay::of($party, $today) : null;

        return new DocumentDefaultsData(
            $kind->value,
            $kind->title(),
            DocumentTerms::usual($party, $kind->side(), $today, $engagementId === null ? null : Engagement::query()->find($engagementId)),
            $side->treatment()->value,
            $side->currency(),
            $side->text(SideField::Reference),
            $side->taxRateId(),
            $side->ids(SideField::Accounts)[0] ?? null,
            $side->ids(SideField::Accounts),
            $kind->side()->value,
            $side->ids(SideField::CostCentres),
            $side->text(SideField::Discount),
            $side->payBy()->value,
            PartyCopyData::of(PartyCopy::of($party, $kind->side(), $today)),
            UseData::of($this->check->of($party, $kind, Money::zero($side->currency()))),
            $ways === null ? [] : array_values($ways->accounts->map(fn (BankDetail $detail) => PayToData::of($detail))->all()),
            $ways === null ? [] : ClosedWayData::all($ways->way),
        );
    }
}
