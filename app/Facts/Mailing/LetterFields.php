<?php

declare(strict_types=1);

namespace App\Facts\Mailing;

use Almanac\Calendar\Day;
use Almanac\Lists\Value;
use Almanac\Mailing\Envelope;
use Almanac\Mailing\LetterText;
use App\Facts\Lists\EngagementRegister;
use App\Facts\Lists\ListedField;
use App\Facts\Lists\PartyFields;
use App\Models\Engagement;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Collection;

/**
 * The fields that a letter may have: how its reader is greeted and addressed, whatever the register knows of a record, the
 * office, and of a case or a project what its register knows. What is private goes into no letter.
 */
final class LetterFields
{
    public const CASE = 'case: ';

    /** Of the letter itself, by name: what it is. */
    private const OWN = [
        'greeting' => 'How the letter begins: Dear Mr. Wren:',
        'address' => 'The address, as on an envelope',
        'file as' => 'The name as it is filed: Wren, Edmund',
        'name' => 'The name as one says it: Mr. Edmund Wren',
        'first name' => 'Of a person',
        'family name' => 'Of a person',
        'date' => 'The day of the letter',
        'our name' => 'The office',
        'our address' => 'The office’s address, in lines',
        'our phone' => 'The office’s phone',
        'our email' => 'The office’s email',
        'my name' => 'Who writes',
        'my email' => 'Who writes',
    ];

    /** @return array<string, string> what may stand between the braces, and what it is; those of a case or a project last */
    public static function all(bool $hasEngagement): array
    {
        $fields = self::OWN;
        foreach (self::listed() as $name => $field) {
            $fields[$name] ??= $field->field->title;
        }
        foreach ($hasEngagement ? self::ofEngagements() : [] as $name => $field) {
            $fields[$name] = 'Of the case or project: '.$field->field->title;
        }

        return $fields;
    }

    /**
     * @param list<string> $asked the names of the fields that the letter has
     *
     * @return array<string, string> by name
     */
    public static function values(array $asked, Party $party, Envelope $envelope, ?Engagement $engagement, Day $day, User $by): array
    {
        $office = Office::current();
        $own = [
            'greeting' => $envelope->greeting,
            'address' => implode("\n", $envelope->lines),
            'file as' => $party->file_as,
            'name' => $party->display_name,
            'first name' => $party->isPerson() ? ($party->preferred !== '' ? $party->preferred : $party->given) : '',
            'family name' => $party->isPerson() ? $party->family : '',
            'date' => $day->toText(),
            'our name' => $office->name,
            'our address' => implode("\n", $office->envelope()),
            'our phone' => $office->phone,
            'our email' => $office->email,
            'my name' => $by->name,
            'my email' => $by->email,
        ];
        $listed = self::listed()->only(array_diff($asked, array_keys($own)));
        $party->loadMissing(PartyFields::reads(...$listed->values()->all() === [] ? [PartyFields::of('kind')] : $listed->values()->all()));
        $values = $own + $listed->map(fn (ListedField $field) => self::text($field->value($party, $day)))->all();
        if ($engagement !== null) {
            $fields = self::ofEngagements()->only($asked);
            $engagement->loadMissing(array_merge([], ...$fields->map(fn (ListedField $field) => $field->reads)->values()->all()));
            $values += $fields->map(fn (ListedField $field) => self::text($field->value($engagement, $day)))->all();
        }

        return $values;
    }

    /** @return Collection<string, ListedField<Party>> by the name between the braces */
    private static function listed(): Collection
    {
        return once(fn () => PartyFields::all()->filter(fn (ListedField $field) => $field->isListed())
            ->mapWithKeys(fn (ListedField $field) => [LetterText::name($field->field->title) => $field]));
    }

    /** @return Collection<string, ListedField<Engagement>> */
    private static function ofEngagements(): Collection
    {
        return once(fn () => (new EngagementRegister)->fields()->filter(fn (ListedField $field) => $field->isListed())
            ->mapWithKeys(fn (ListedField $field) => [self::CASE.LetterText::name($field->field->title) => $field]));
    }

    private static function text(Value $value): string
    {
        return $value->held === false ? '' : $value->toText();
    }
}
