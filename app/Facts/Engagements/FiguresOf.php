<?php

declare(strict_types=1);

namespace App\Facts\Engagements;

use Almanac\Engagements\EngagementFigures;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Money\Money;
use Almanac\Terms\Side;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\Payment;

/** What cases and projects come to, from their documents and payments. */
final class FiguresOf
{
    private const NOTHING = ['billed' => 0, 'open' => 0, 'bills' => 0, 'received' => 0];

    /** @return list<EngagementFigures> by currency, its own first; others only where something is in them */
    public static function engagement(Engagement $engagement): array
    {
        $sums = [$engagement->currency => self::NOTHING];
        $documents = Document::query()->where('engagement_id', $engagement->id)
            ->whereIn('state', [DocumentState::Issued, DocumentState::PartPaid, DocumentState::Settled])
            ->toBase()->groupBy('currency', 'kind')
            ->selectRaw('currency, kind, sum(net_minor) as net, sum(open_minor) as open')->get();
        foreach ($documents as $row) {
            $kind = DocumentKind::from((string) $row->kind);
            if ($kind->isPromise()) {
                continue;
            }
            $sign = $kind->isCredit() ? -1 : 1;
            $of = $sums[(string) $row->currency] ?? self::NOTHING;
            if ($kind->side() === Side::Client) {
                $of['billed'] += $sign * (int) $row->net;
                $of['open'] += $sign * (int) $row->open;
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

        return array_map(fn (string $currency, array $of) => EngagementFigures::of(
            $currency === $engagement->currency ? $engagement->agreed() : null,
            Money::ofMinor($of['billed'], $currency),
            Money::ofMinor($of['open'], $currency),
            Money::ofMinor($of['received'], $currency),
            Money::ofMinor($of['bills'], $currency),
        ), array_keys($sums), $sums);
    }
}
