<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Lists\Field;
use Almanac\Lists\FieldType;
use Almanac\Lists\Operator;
use Almanac\Lists\Phrase;
use Almanac\Lists\Value;
use Almanac\Terms\Side;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Auth;

/**
 * The ledger: every document.
 *
 * @implements ListRegister<Document>
 */
final class DocumentRegister implements ListRegister
{
    /** What records have that their documents are asked for. */
    private const OF_PARTIES = [
        'role', 'kind', 'types', 'tags', 'country', 'region', 'locality', 'postcode', 'owner', 'account-manager',
        'buyer', 'industry', 'grade',
    ];

    public function columns(): array
    {
        return ['number', 'party', 'dated', 'due', 'state', 'total', 'open'];
    }

    public function sort(): array
    {
        return ['dated'];
    }

    public function fields(): Collection
    {
        return once(fn () => collect([
            self::text('number', 'Number', 'number', fn (Document $one) => $one->number ?? ''),
            ListedField::of(
                'document-kind',
                'Kind',
                FieldType::Choice,
                fn (Document $one) => Value::choice(self::kindTitle($one->kind)),
                Coded::of('documents.kind', DocumentKind::cases(), self::kindTitle(...)),
            )->chosenFrom(fn () => array_map(self::kindTitle(...), DocumentKind::cases())),
            ListedField::of(
                'side',
                'Side',
                FieldType::Choice,
                fn (Document $one) => Value::choice($one->kind->side()->balance()),
                Coded::of('documents.kind', DocumentKind::cases(), fn (DocumentKind $kind) => $kind->side()->balance()),
            )->chosenFrom(fn () => array_map(fn (Side $side) => $side->balance(), Side::cases())),
            ListedField::of(
                'state',
                'State',
                FieldType::Choice,
                fn (Document $one) => Value::choice(self::stateTitle($one->state)),
                Coded::of('documents.state', DocumentState::cases(), self::stateTitle(...)),
            )->chosenFrom(fn () => array_map(self::stateTitle(...), DocumentState::listed())),
            ListedField::of(
                'party',
                'Client or vendor',
                FieldType::Text,
                fn (Document $one) => Value::text($one->party->display_name),
                new Column(
                    '(select name from record_values where party_id = documents.party_id)',
                    order: '(select collated from record_values where party_id = documents.party_id)',
                ),
                ['party'],
            )->offering('party'),
            self::day('dated', 'Dated', 'dated_on', fn (Document $one) => $one->dated_on),
            self::day('due', 'Due', 'next_due_on', fn (Document $one) => $one->next_due_on),
            ListedField::of(
                'overdue',
                'Overdue',
                FieldType::YesNo,
                fn (Document $one, Day $today) => Value::yesNo(self::daysLate($one, $today) !== null),
                new Later(fn (Day $today) => new Column('('.self::lateSql($today).' is not null)'), fn () => ''),
            ),
            ListedField::of(
                'late',
                'Days late',
                FieldType::Number,
                fn (Document $one, Day $today) => Value::number(self::daysLate($one, $today)),
                new Later(
                    fn (Day $today) => new Column(self::lateSql($today)),
                    fn () => self::lateSql(resolve(Clock::class)->today()),
                ),
            ),
            self::day('settled', 'Settled on', 'settled_on', fn (Document $one) => $one->settled_on),
            ListedField::of(
                'sent',
                'Sent',
                FieldType::Day,
                fn (Document $one) => Value::day($one->sent_at === null ? null : Clock::dayOf($one->sent_at)),
                new Moment('documents.sent_at'),
            ),
            ListedField::of(
                'currency', 'Currency', FieldType::Choice, fn (Document $one) => Value::choice($one->currency),
                new Column('lower(documents.currency)'),
            ),
            self::amount('total', 'Total', 'total_minor'),
            self::amount('net', 'Without tax', 'net_minor'),
            self::amount('tax', 'Tax', 'tax_minor'),
            ListedField::of(
                'open',
                'Open',
                FieldType::Amount,
                function (Document $one): Value {
                    $open = $one->openInList();

                    return Value::amount($open->isZero() ? null : $open);
                },
                new Column('iif('.Document::IS_OPEN.' and documents.kind not in ('.self::kinds(array_filter(
                    DocumentKind::cases(),
                    fn (DocumentKind $kind) => $kind->isPromise(),
                )).'), nullif(documents.open_minor, 0), null)', 'documents.currency'),
            ),
            self::text('terms', 'Payment terms', 'terms', fn (Document $one) => $one->terms),
            self::text('reference', 'Reference', 'reference', fn (Document $one) => $one->reference),
            self::text('note', 'Note', 'note', fn (Document $one) => $one->note),
            ListedField::of(
                'engagement',
                'Case or project',
                FieldType::Text,
                fn (Document $one) => Value::text($one->engagement->number ?? ''),
                new Later(fn () => self::engagement(), fn () => self::engagement()->order()),
                ['engagement'],
            ),
            ListedField::of(
                'written-by',
                'Written by',
                FieldType::Choice,
                fn (Document $one) => Value::choice($one->user->name),
                new Column('(select fold(name) from users where users.id = documents.user_id)'),
                ['user'],
            )->chosenFrom(Colleagues::names(...)),
            ...array_map(ViaParty::field(...), self::OF_PARTIES),
        ])->keyBy(fn (ListedField $one) => $one->field->key));
    }

    public function phrases(User $reader): array
    {
        $of = fn (string $key) => $this->fields()->get($key)->field ?? throw new \LogicException("There is no field $key.");
        $kind = fn (string $words, DocumentKind ...$kinds) => Phrase::usual(
            $words,
            $of('document-kind'),
            count($kinds) === 1 ? Operator::Is : Operator::AnyOf,
            ...array_map(fn (DocumentKind $one) => Value::choice(self::kindTitle($one)), $kinds),
        );
        $state = fn (string $words, DocumentState $state) => Phrase::usual(
            $words, $of('state'), Operator::Is, Value::choice(self::stateTitle($state)),
        );

        return [
            $kind('invoices', DocumentKind::Invoice),
            $kind('bills', DocumentKind::Bill),
            $kind('quotes', DocumentKind::Quote),
            $kind('orders', DocumentKind::Order),
            $kind('purchase orders', DocumentKind::PurchaseOrder),
            $kind('credit notes', DocumentKind::CreditNote),
            $kind('credit notes received', DocumentKind::CreditReceived),
            $state('drafts', DocumentState::Draft),
            $state('void', DocumentState::Void),
            $state('settled', DocumentState::Settled),
            $state('part paid', DocumentState::PartPaid),
            Phrase::usual('open', $of('open'), Operator::Has),
            Phrase::usual('not overdue', $of('overdue'), Operator::Is, Value::yesNo(false)),
            Phrase::usual('overdue', $of('overdue'), Operator::Is, Value::yesNo(true)),
            Phrase::usual('late by more than', $of('late'), Operator::Above),
            Phrase::usual('above', $of('total'), Operator::Above),
            Phrase::also('over', $of('total'), Operator::Above),
            Phrase::also('more than', $of('total'), Operator::Above),
            Phrase::usual('below', $of('total'), Operator::Below),
            Phrase::also('less than', $of('total'), Operator::Below),
            Phrase::usual('not sent', $of('sent'), Operator::Lacks),
            Phrase::usual('in', $of('party-region'), Operator::Is),
            Phrase::usual('in', $of('party-country'), Operator::Is),
            Phrase::usual('in', $of('party-locality'), Operator::Is),
            Phrase::usual('of those tagged', $of('party-tags'), Operator::AnyOf),
            Phrase::usual('of those of type', $of('party-types'), Operator::AnyOf),
            Phrase::usual('looked after by', $of('party-owner'), Operator::Is),
            Phrase::also('my', $of('party-owner'), Operator::Is, Value::choice($reader->name)),
        ];
    }

    /** What a ledger of what is open is sorted by. */
    public static function byDue(): Field
    {
        return Field::of('due', 'Due', FieldType::Day);
    }

    private static function kindTitle(DocumentKind $kind): string
    {
        return mb_strtolower($kind->titleInList());
    }

    private static function stateTitle(DocumentState $state): string
    {
        return strtr($state->value, '-', ' ');
    }

    /**
     * @param \Closure(Document): string $text
     *
     * @return ListedField<Document>
     */
    private static function text(string $key, string $title, string $column, \Closure $text): ListedField
    {
        return ListedField::of(
            $key, $title, FieldType::Text, fn (Document $one) => Value::text($text($one)),
            new Column("fold(nullif(documents.$column, ''))"),
        );
    }

    /**
     * @param \Closure(Document): ?Day $day
     *
     * @return ListedField<Document>
     */
    private static function day(string $key, string $title, string $column, \Closure $day): ListedField
    {
        return ListedField::of($key, $title, FieldType::Day, fn (Document $one) => Value::day($day($one)), new Column("documents.$column"));
    }

    /** @return ListedField<Document> */
    private static function amount(string $key, string $title, string $column): ListedField
    {
        return ListedField::of(
            $key,
            $title,
            FieldType::Amount,
            function (Document $one) use ($column): Value {
                $minor = (int) $one->getRawOriginal($column);

                return Value::amount($minor === 0 ? null : $one->money($minor));
            },
            new Column("nullif(documents.$column, 0)", 'documents.currency'),
        );
    }

    private static function daysLate(Document $document, Day $today): ?int
    {
        $late = $document->open_minor > 0 ? $document->daysLate($today) : 0;

        return $late > 0 ? $late : null;
    }

    private static function lateSql(Day $today): string
    {
        $day = "'{$today->toIso()}'";

        $owed = self::kinds(DocumentKind::owed());

        return '(iif('.Document::IS_OPEN." and documents.kind in ($owed) and documents.next_due_on < $day, cast(julianday($day) - julianday(documents.next_due_on) as int), null))";
    }

    /** @param  array<DocumentKind>  $kinds */
    private static function kinds(array $kinds): string
    {
        return implode(', ', array_map(fn (DocumentKind $kind) => "'{$kind->value}'", $kinds));
    }

    private static function engagement(): Column
    {
        $reader = Auth::user();
        $hidden = $reader instanceof User ? Engagement::hiddenFrom($reader)->toRawSql() : '';

        return new Column(
            '(select fold(number) from engagements where engagements.id = documents.engagement_id'
                .($hidden === '' ? '' : " and engagements.id not in ($hidden)").')',
        );
    }
}
