<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use Almanac\Engagements\Enquiry;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use Almanac\Records\Wording;
use Almanac\Terms\Shorthand;
use App\Actions\Records\Past;
use App\Models\Engagement;
use App\Models\Office;
use App\Models\User;
use App\Time\TypedDates;
use App\Validation\FieldProblems;

/** What it is called, who looks after it, what was agreed, what an enquiry may come to, and who may see it. */
final readonly class HeadSection implements EngagementSection
{
    private const LONGEST = 200;

    public function __construct(private TypedDates $dates)
    {
    }

    public function name(): SectionName
    {
        return SectionName::Engagement;
    }

    public function reads(): array
    {
        return ['owner', 'readers'];
    }

    public function facts(Engagement $engagement): array
    {
        $enquiry = $engagement->enquiry();

        return [
            'title' => new LoggedFact('Title', $engagement->title),
            'owner' => new LoggedFact('Looked after by', $engagement->owner->name ?? ''),
            'agreed' => new LoggedFact('Agreed', $engagement->agreed()?->toText() ?? ''),
            'terms' => new LoggedFact('Payment terms', $engagement->terms),
            'value' => new LoggedFact('Expected value', $enquiry?->value->toText() ?? ''),
            'chance' => new LoggedFact('Chance', $enquiry?->chance->toText() ?? ''),
            'decided' => new LoggedFact('Decision expected', $enquiry?->decidedOn?->toText() ?? ''),
            'readers' => new LoggedFact(
                'Who may see it',
                $engagement->is_private ? $engagement->readers->pluck('name')->implode(', ') : 'everybody here',
            ),
        ];
    }

    public function state(Engagement $engagement): array
    {
        return [
            'title' => $engagement->title,
            'ownerId' => $engagement->owner_id,
            'currency' => $engagement->currency,
            'agreed' => $engagement->agreed()?->toDecimal() ?? '',
            'terms' => $engagement->terms,
            'value' => $engagement->enquiry()?->value->toDecimal() ?? '',
            'chance' => $engagement->chance ?? '',
            'decidedOn' => $engagement->decided_on?->toIso() ?? '',
            'isPrivate' => $engagement->is_private,
            'readerIds' => array_values($engagement->readers->sortBy('id')->pluck('id')->all()),
        ];
    }

    public function recall(Engagement $then, array $state, Past $past): void
    {
        /**
         * @var array{
         *     title: string, ownerId: int|null, currency: string, agreed: string, terms: string, value: string, chance: string,
         *     decidedOn: string, isPrivate: bool, readerIds: list<int>,
         * } $state
         */
        $minor = fn (string $amount) => $amount === '' ? null : Money::of($amount, $state['currency'])->minor;
        $then->unsetRelation('owner')->fill([
            'title' => $state['title'],
            'owner_id' => $state['ownerId'],
            'currency' => $state['currency'],
            'agreed_minor' => $minor($state['agreed']),
            'terms' => $state['terms'],
            'value_minor' => $minor($state['value']),
            'chance' => $state['chance'] === '' ? null : $state['chance'],
            'decided_on' => Past::day($state['decidedOn']),
            'is_private' => $state['isPrivate'],
        ])->setRelation('readers', User::query()->whereKey($state['readerIds'])->orderBy('name')->get());
    }

    public function isPrivate(array $state): bool
    {
        return false;
    }

    public function write(Engagement $engagement, array $input): void
    {
        /**
         * @var array{
         *     title: string, ownerId: int|null, currency: string, agreed: string, terms?: string, value: string, chance: string,
         *     decidedOn: string, isPrivate: bool, readerIds: list<int>, isRestored?: bool,
         * } $input
         */
        $problems = new FieldProblems;
        $title = $problems->at('title', fn () => Wording::line(
            $input['title'],
            self::LONGEST,
            'Give it a title, such as “Town hall clock, movement and dial”.',
        ));
        $currency = strtoupper(trim($input['currency']));
        $isRestored = isset($input['isRestored']);
        $agreed = $this->amount($input['agreed'], $currency, 'agreed', $isRestored, $problems);
        $value = $this->amount($input['value'], $currency, 'value', $isRestored, $problems);
        // What is not told stays as it is.
        $typed = trim($input['terms'] ?? $engagement->terms);
        $terms = $typed === '' ? '' : $problems->at('terms', fn () => Shorthand::read($typed)->toShorthand());
        $chance = trim($input['chance']) === ''
            ? null
            : $problems->at('chance', fn () => Percent::of($input['chance']));
        $decided = $this->dates->day($input['decidedOn'], 'decidedOn', $problems);
        $enquiry = null;
        if ($value !== null) {
            $enquiry = $problems->at('value', fn () => Enquiry::of($value, $chance ?? Percent::of(100), $decided));
        } elseif ($chance !== null) {
            $problems->add('value', 'Type what it may be worth, or leave the chance empty.');
        }
        $this->colleagues($engagement, $input, $problems);
        $problems->throwIfAny();

        $engagement->fill([
            'title' => $title,
            'owner_id' => $input['ownerId'],
            'currency' => $currency,
            'agreed_minor' => $agreed?->minor,
            'terms' => $terms,
            'value_minor' => $value?->minor,
            'chance' => $chance === null ? null : (string) $chance,
            'decided_on' => $decided,
            'weighed_minor' => $enquiry?->weighed()->minor,
            'is_private' => $input['isPrivate'],
        ])->save();
        $engagement->readers()->sync($input['isPrivate'] ? $input['readerIds'] : []);
    }

    /** @param  array{ownerId: int|null, isPrivate: bool, readerIds: list<int>, ...}  $input */
    private function colleagues(Engagement $engagement, array $input, FieldProblems $problems): void
    {
        $owner = User::query()->find($input['ownerId']);
        if ($input['ownerId'] !== null && ($owner === null || ($owner->retired_at !== null && $engagement->owner_id !== $owner->id))) {
            $problems->add('ownerId', 'That colleague has left. Choose somebody else.');
        }
        if (! $input['isPrivate']) {
            return;
        }
        if (User::query()->whereKey($input['readerIds'])->count() !== count($input['readerIds'])) {
            $problems->add('readerIds', 'One of them is not known here. Choose again.');
        } elseif ($input['readerIds'] === []) {
            $problems->add('readerIds', 'Name at least one colleague who may see it.');
        } elseif ($owner !== null && ! in_array($owner->id, $input['readerIds'], true)) {
            $problems->add(
                'readerIds',
                "$owner->name looks after it and has to see it. Add them, or choose somebody else to look after it.",
            );
        }
    }

    private function amount(string $typed, string $currency, string $field, bool $isPlain, FieldProblems $problems): ?Money
    {
        return trim($typed) === '' ? null : $problems->at($field, fn () => $isPlain
            ? Money::of($typed, $currency)
            : Money::fromTyped($typed, $currency, Office::current()->decimalSign()));
    }
}
