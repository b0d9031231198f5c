<?php

declare(strict_types=1);

namespace App\Facts\Engagements;

use Almanac\Calendar\Day;
use Almanac\Engagements\EngagementFigures;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\Standing;
use Almanac\Money\Money;
use Almanac\Terms\Side;
use App\Facts\Ledger\EntriesOf;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\Office;
use App\Models\Payment;

/** What cases and projects come to, from their documents and payments. */
final class FiguresOf
{
    private const NOTHING = ['billed' => 0, 'bills' => 0, 'received' => 0];

    /** @return list<EngagementFigures> by currency, its own first; others only where something is in them */
    public static function engagement(Engagement $engagement, Day $today): array
    {
        $sums = [$engagement->currency => self::NOTHING];
        $documents = Document::query()->where('engagement_id', $engagement->id)->issued()
            ->toBase()->groupBy('currency', 'kind')
            ->selectRaw('currency, kind, sum(net_minor) as net')->get();
        foreach ($documents as $row) {
            $kind = DocumentKind::from((string) $row->kind);
            if ($kind->isPromise()) {
                continue;
            }
            $sign = $kind->isCredit() ? -1 : 1;
            $of = $sums[(string) $row->currency] ?? self::NOTHING;
            if ($kind->side() === Side::Client) {
                $of['billed'] += $sign * (int) $row->net;
            } else {
                $of['bills'] += $sign * (int) $row->net;
            }
            $sums[(string) $row->currency] = $of;
        }
        $payments = Payment::query()->where('engagement_id', $engagement->id)->where('is_void', false)->where('side', Side::Client)
            ->toBase()->groupBy('currency')->selectRaw('currency, sum(amount_minor) as amount')->get();
        foreach ($payments as $row) {
            $sums[(string) $row->currency] = ['received' => (int) $row->amount] + ($sums[(string) $row->currency] ?? self::NOTHING);
        }

        $office = Office::current();
        $entries = EntriesOf::many('engagement_id', [$engagement->id], $today)[$engagement->id][Side::Client->value] ?? [];

        return array_map(fn (string $currency, array $of) => EngagementFigures::of(
            $currency === $engagement->currency ? $engagement->agreed() : null,
            Money::ofMinor($of['billed'], $currency),
            Money::ofMinor($of['received'], $currency),
            Money::ofMinor($of['bills'], $currency),
            // Money that is not used yet is the client's, not the case's.
            Standing::of(Side::Client, $entries[$currency] ?? [], Money::zero($currency), $today, $office->ageing_by, $office->warn_after),
        ), array_keys($sums), $sums);
    }
}
