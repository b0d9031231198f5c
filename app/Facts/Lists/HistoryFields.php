<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Lists\FieldType;
use Almanac\Lists\Value;
use Almanac\Records\LogKind;
use Almanac\Terms\Side;
use App\Models\Caution;
use App\Models\Document;
use App\Models\LogEntry;
use App\Models\LookAlikePair;
use App\Models\Party;
use App\Models\Payment;
use App\Models\Reminder;
use App\Time\Clock;
use Illuminate\Support\Facades\Auth;

/** The part of the register that tells what happened to a record, and when. */
final class HistoryFields
{
    /** @return list<ListedField<Party>> */
    public static function all(): array
    {
        return [
            ListedField::of(
                'added',
                'Added',
                FieldType::Day,
                fn (Party $party) => Value::day($party->created_at === null ? null : Clock::dayOf($party->created_at)),
                new Moment('v.added_at'),
            ),
            PartyFields::colleague(
                'added-by',
                'Added by',
                'added_by_id',
                fn (Party $party) => $party->firstChange?->user->name,
                ['firstChange.user'],
            ),
            ListedField::of(
                'changed',
                'Changed',
                FieldType::Day,
                fn (Party $party) => Value::day($party->lastChange === null ? null : Clock::dayOf($party->lastChange->at)),
                new Moment('v.changed_at'),
                ['lastChange'],
            ),
            PartyFields::colleague(
                'changed-by',
                'Changed by',
                'changed_by_id',
                fn (Party $party) => $party->lastChange?->user->name,
                ['lastChange.user'],
            ),
            ListedField::of(
                'last',
                'Last happened on',
                FieldType::Day,
                self::last(...),
                new Column('v.last_on'),
                ['logEntries', 'documents', 'payments'],
            ),
            ListedField::of(
                'look-alike',
                'Perhaps in the book twice',
                FieldType::YesNo,
                fn (Party $party) => Value::yesNo(
                    $party->pairsAsFirst->concat($party->pairsAsSecond)->contains(fn (LookAlikePair $pair) => $pair->state->isToSettle()),
                ),
                new Column('(v.party_id in (select first_id from look_alike_pairs where '.LookAlikePair::TO_SETTLE
                    .' union select second_id from look_alike_pairs where '.LookAlikePair::TO_SETTLE.'))'),
                ['pairsAsFirst', 'pairsAsSecond'],
            ),
            self::lastWhat(),
            ListedField::of(
                'reminder',
                'Next reminder',
                FieldType::Day,
                fn (Party $party) => Value::day(self::nextReminder($party)?->due_on),
                new Column('v.reminder_on'),
                ['reminders'],
            ),
            ListedField::of(
                'reminder-text',
                'To be done next',
                FieldType::Text,
                fn (Party $party) => Value::text(self::nextReminder($party)->text ?? ''),
                new Column('iif(v.reminder_on is null, null, (select fold(text) from reminders where subject_id = v.party_id and done_at is null'
                    .' order by due_on, time, id limit 1))'),
                ['reminders'],
            ),
            self::opened(),
            self::documents('billed', 'Billed', DocumentKind::Invoice),
            self::documents('bill', 'Billed us', DocumentKind::Bill),
            self::payments('paid', 'Paid', Side::Vendor),
            self::payments('received', 'Paid us', Side::Client),
            ListedField::of(
                'caution',
                'Caution',
                FieldType::YesNo,
                fn (Party $party, Day $today) => Value::yesNo($party->cautions->contains(
                    fn (Caution $caution) => $caution->value()->period->includes($today),
                )),
                new Later(fn (Day $today) => new Column(self::cautioned($today)), fn () => self::cautioned((new Clock)->today())),
                ['cautions'],
            ),
        ];
    }

    /**
     * By whoever asks.
     *
     * @return ListedField<Party>
     */
    private static function opened(): ListedField
    {
        $reader = fn (): int => is_int(Auth::id()) ? Auth::id() : 0;

        return ListedField::of(
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

    private static function cautioned(Day $today): string
    {
        $day = "'{$today->toIso()}'";

        return "(v.party_id in (select subject_id from cautions where (since is null or since <= $day) and (until is null or until >= $day)))";
    }

    /** @return ListedField<Party> */
    private static function documents(string $key, string $title, DocumentKind $kind): ListedField
    {
        $states = "'".implode("', '", array_column(DocumentState::counted(), 'value'))."'";
        $those = "kind = '{$kind->value}' and state in ($states)";

        return ListedField::of(
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

    /** @return ListedField<Party> */
    private static function payments(string $key, string $title, Side $side): ListedField
    {
        $those = "side = '{$side->value}' and is_void = 0";

        return ListedField::of(
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
        return Value::day(self::happened($party)[0] ?? null);
    }

    /** @return ListedField<Party> */
    private static function lastWhat(): ListedField
    {
        $titles = self::happenings();

        return ListedField::of(
            'last-what',
            'What happened last',
            FieldType::Choice,
            fn (Party $party) => Value::choice($titles[self::happened($party)[1] ?? ''] ?? ''),
            new Coded('v.last_what', $titles),
            ['logEntries', 'documents', 'payments'],
        )->chosenFrom(fn () => array_values(array_unique($titles)));
    }

    /** @return array<string, string> what may happen to a record, as it is called */
    private static function happenings(): array
    {
        $titles = [];
        foreach (LogKind::cases() as $kind) {
            $titles[$kind->value] = $kind->title();
        }
        foreach (DocumentKind::cases() as $kind) {
            $titles[$kind->value] = mb_strtolower($kind->title());
        }

        return $titles + ['client-payment' => 'payment to us', 'vendor-payment' => 'payment by us'];
    }

    /** @return array{Day, string}|null what happened last and its day: of one day the letter or call, then the document, then the payment */
    private static function happened(Party $party): ?array
    {
        $happened = [
            ...$party->logEntries->map(fn (LogEntry $one) => [$one->happened_on, $one->kind->value, 1, $one->id]),
            ...$party->documents->filter(fn (Document $one) => in_array($one->state, DocumentState::counted(), true))
                ->map(fn (Document $one) => [$one->dated_on, $one->kind->value, 2, $one->id]),
            ...$party->payments->filter(fn (Payment $one) => ! $one->is_void)
                ->map(fn (Payment $one) => [$one->paid_on, $one->side->value.'-payment', 3, $one->id]),
        ];
        usort($happened, fn (array $a, array $b) => [$b[0]->number, $a[2], $b[3]] <=> [$a[0]->number, $b[2], $a[3]]);

        return $happened === [] ? null : [$happened[0][0], $happened[0][1]];
    }

    private static function nextReminder(Party $party): ?Reminder
    {
        return $party->reminders->whereNull('done_at')
            ->sortBy(fn (Reminder $one) => sprintf('%s %s %012d', $one->due_on->toIso(), $one->time, $one->id))->first();
    }
}
