<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Lists\FieldType;
use Almanac\Lists\Value;
use Almanac\Terms\Side;
use App\Models\Caution;
use App\Models\Document;
use App\Models\LogEntry;
use App\Models\Party;
use App\Models\Payment;
use App\Time\Clock;
use Illuminate\Support\Facades\Auth;

/** The part of the register that tells what happened to a record, and when. */
final class HistoryFields
{
    /** @return list<PartyField> */
    public static function all(): array
    {
        return [
            PartyField::of(
                'added',
                'Added',
                FieldType::Day,
                fn (Party $party) => Value::day($party->created_at === null ? null : Clock::dayOf($party->created_at)),
                new Moment('v.added_at'),
            ),
            PartyFields::colleague('added-by', 'Added by', 'added_by_id', fn (Party $party) => $party->firstChange?->user->name, ['firstChange.user']),
            PartyField::of(
                'changed',
                'Changed',
                FieldType::Day,
                fn (Party $party) => Value::day($party->lastChange === null ? null : Clock::dayOf($party->lastChange->at)),
                new Moment('v.changed_at'),
                ['lastChange'],
            ),
            PartyFields::colleague('changed-by', 'Changed by', 'changed_by_id', fn (Party $party) => $party->lastChange?->user->name, ['lastChange.user']),
            PartyField::of(
                'last',
                'Last happened on',
                FieldType::Day,
                self::last(...),
                new Column('v.last_on'),
                ['logEntries', 'documents', 'payments'],
            ),
            self::opened(),
            self::documents('billed', 'Billed', DocumentKind::Invoice),
            self::documents('bill', 'Billed us', DocumentKind::Bill),
            self::payments('paid', 'Paid', Side::Vendor),
            self::payments('received', 'Paid us', Side::Client),
            PartyField::of(
                'caution',
                'Caution',
                FieldType::YesNo,
                fn (Party $party, Day $today) => Value::yesNo($party->cautions->contains(
                    fn (Caution $caution) => $caution->value()->period->includes($today),
                )),
                new Later(fn (Day $today) => new Column(self::cautioned($today)), fn () => self::cautioned(null)),
                ['cautions'],
            ),
        ];
    }

    /** By whoever asks. */
    private static function opened(): PartyField
    {
        $reader = fn (): int => is_int(Auth::id()) ? Auth::id() : 0;

        return PartyField::of(
            'opened',
            'Opened',
            FieldType::Day,
            fn (Party $party) => Value::day($party->uses->firstWhere('user_id', Auth::id())?->used_on),
            new Later(
                fn () => new Rows("select party_id from record_uses where user_id = {$reader()}", 'used_on', ''),
                fn () => "(select at from record_uses where user_id = {$reader()} and party_id = v.party_id)",
            ),
            ['uses'],
        );
    }

    private static function cautioned(?Day $today): string
    {
        $day = $today === null ? "date('now')" : "'{$today->toIso()}'";

        return "(v.party_id in (select subject_id from cautions where (since is null or since <= $day) and (until is null or until >= $day)))";
    }

    private static function documents(string $key, string $title, DocumentKind $kind): PartyField
    {
        $states = "'".implode("', '", array_column(DocumentState::counted(), 'value'))."'";
        $those = "kind = '{$kind->value}' and state in ($states)";

        return PartyField::of(
            $key,
            $title,
            FieldType::Days,
            fn (Party $party) => Value::days(array_values($party->documents
                ->filter(fn (Document $one) => $one->kind === $kind && in_array($one->state, DocumentState::counted(), true))
                ->map(fn (Document $one) => $one->dated_on)->sortBy(fn (Day $day) => $day->number)->all())),
            new Happened(new Rows("select party_id from documents where $those", 'dated_on', ''), "{$key}_on"),
            ['documents'],
        );
    }

    private static function payments(string $key, string $title, Side $side): PartyField
    {
        $those = "side = '{$side->value}' and is_void = 0";

        return PartyField::of(
            $key,
            $title,
            FieldType::Days,
            fn (Party $party) => Value::days(array_values($party->payments
                ->filter(fn (Payment $one) => $one->side === $side && ! $one->is_void)
                ->map(fn (Payment $one) => $one->paid_on)->sortBy(fn (Day $day) => $day->number)->all())),
            new Happened(new Rows("select party_id from payments where $those", 'paid_on', ''), "{$key}_on"),
            ['payments'],
        );
    }

    private static function last(Party $party): Value
    {
        $days = [
            ...$party->logEntries->map(fn (LogEntry $one) => $one->happened_on),
            ...$party->documents->filter(fn (Document $one) => in_array($one->state, DocumentState::counted(), true))
                ->map(fn (Document $one) => $one->dated_on),
            ...$party->payments->filter(fn (Payment $one) => ! $one->is_void)->map(fn (Payment $one) => $one->paid_on),
        ];
        usort($days, fn (Day $a, Day $b) => $b->number <=> $a->number);

        return Value::day($days[0] ?? null);
    }
}
