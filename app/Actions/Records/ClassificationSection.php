<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Names\NamePart;
use Almanac\Records\Grade;
use Almanac\Records\LoggedFact;
use Almanac\Records\OfficeList;
use Almanac\Records\SectionName;
use App\Actions\Office\ListedNames;
use App\Models\ListItem;
use App\Models\Party;
use App\Models\PartyCode;
use App\Models\User;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Database\Eloquent\Collection;
use Symfony\Component\Intl\Languages;

/** What somebody is to the office: types, tags, who looks after them, where they came from. */
final readonly class ClassificationSection implements SectionOfNew
{
    private const COLLEAGUES = ['ownerId' => 'owner_id', 'accountManagerId' => 'account_manager_id', 'buyerId' => 'buyer_id'];

    /** What stands in a column of the record as it is, by what it is called in the state. */
    public const COLUMNS = self::COLLEAGUES + ['source' => 'source', 'language' => 'language'];

    public function __construct(private TypedDates $dates)
    {
    }

    public function name(): SectionName
    {
        return SectionName::Classification;
    }

    public function reads(): array
    {
        return ['listItems', 'codes', 'owner', 'accountManager', 'buyer'];
    }

    public function facts(Party $party): array
    {
        $facts = [
            'types' => new LoggedFact('Types', implode(', ', $party->listed(OfficeList::Types))),
            'tags' => new LoggedFact('Tags', implode(', ', $party->listed(OfficeList::Tags))),
            'owner' => new LoggedFact('Looked after by', $party->owner->name ?? ''),
            'accountManager' => new LoggedFact('Account manager', $party->accountManager->name ?? ''),
            'buyer' => new LoggedFact('Buyer', $party->buyer->name ?? ''),
            'source' => new LoggedFact('Came from', $party->source),
            'language' => new LoggedFact('Language', $party->language === '' ? '' : Languages::getName($party->language, 'en')),
            'grade' => new LoggedFact('Grade', (string) $party->grade),
            'noLetters' => new LoggedFact('Letters', $party->optOut()?->toText() ?? ''),
        ];
        foreach ($party->codes as $code) {
            $facts['code:'.$code->id] = new LoggedFact(ucfirst($code->system), $code->value);
        }

        return $facts;
    }

    public function state(Party $party): array
    {
        return [
            'types' => $party->listed(OfficeList::Types), 'tags' => $party->listed(OfficeList::Tags),
            ...array_map(fn (string $column) => $party->getAttribute($column), self::COLLEAGUES),
            'source' => $party->source, 'language' => $party->language, 'grade' => $party->grade,
            'noLettersOn' => $party->no_letters_on?->toIso() ?? '', 'noLettersHow' => $party->no_letters_how,
            'codes' => array_values($party->codes->map(fn (PartyCode $code) => $code->only('id', 'system', 'value'))->all()),
        ];
    }

    public function recall(Party $then, array $state, Past $past): void
    {
        /**
         * @var array{
         *     types: list<string>, tags: list<string>, ownerId: int|null, accountManagerId: int|null, buyerId: int|null,
         *     source: string, language: string, grade: int|null, noLettersOn: string, noLettersHow: string,
         *     codes: list<array{id: int, system: string, value: string}>,
         * } $state
         */
        $items = [];
        foreach ([[OfficeList::Types, $state['types']], [OfficeList::Tags, $state['tags']]] as [$list, $names]) {
            $known = ListItem::in($list)->whereIn('name', $names)->get()->keyBy('name');
            foreach ($names as $name) {
                $items[] = $known->get($name) ?? new ListItem(['list' => $list, 'name' => $name]);
            }
        }
        foreach (self::COLLEAGUES as $field => $column) {
            $then->setAttribute($column, $state[$field]);
            $then->unsetRelation(substr($field, 0, -strlen('Id')));
        }
        $then->fill([
            'source' => $state['source'], 'language' => $state['language'], 'grade' => $state['grade'],
            'no_letters_on' => Past::day($state['noLettersOn']), 'no_letters_how' => $state['noLettersHow'],
        ])->setRelations([
            'listItems' => new Collection($items),
            'codes' => new Collection(array_map(fn (array $row) => new PartyCode($row), $state['codes'])),
        ] + $then->getRelations());
    }

    public function isPrivate(array $state): bool
    {
        return false;
    }

    public function neighbours(Party $party, array $input): array
    {
        return [];
    }

    public function begin(Party $new, array $input, NewRecords $records): void
    {
        [$items, $codes] = $this->read($new, new Collection, $input);
        $new->setRelations([
            'listItems' => $items === [] ? new Collection : ListItem::query()->whereKey($items)->orderBy('name')->get(),
            'codes' => new Collection(array_map($records->numbered(...), $codes)),
        ] + $new->getRelations());
    }

    public function write(Party $party, array $input): void
    {
        $kept = $party->loadMissing($this->reads())->codes->keyBy('id');
        [$items, $codes] = $this->read($party, $kept, $input);
        $party->save();
        $had = $party->listItems->modelKeys();
        if (array_diff($items, $had) !== [] || array_diff($had, $items) !== []) {
            $party->listItems()->sync($items);
        }
        /** @var list<array{id: int|null, ...}> $rows */
        $rows = $input['codes'];
        KeptRow::deleteBut($kept, array_filter(array_column($rows, 'id')));
        KeptRow::saveAll($codes);
    }

    /**
     * @param Collection<int, PartyCode> $kept by number
     * @param array<string, mixed> $input
     *
     * @return array{list<int>, list<PartyCode>} entries of the lists, and numbers elsewhere
     */
    private function read(Party $party, Collection $kept, array $input): array
    {
        $isRestored = isset($input['isRestored']);
        /**
         * @var array{
         *     types: list<string>, tags: list<string>, ownerId: int|null, accountManagerId: int|null, buyerId: int|null,
         *     source: string, language: string, grade: int|null,
         *     codes: list<array{id: int|null, system: string, value: string}>,
         * } $input
         */
        $problems = new FieldProblems;
        $types = $problems->at('types', fn () => ListedNames::ids(OfficeList::Types, $input['types'])) ?? [];
        $tags = $problems->at('tags', fn () => ListedNames::idsOfOldAndNew(OfficeList::Tags, $input['tags'])) ?? [];
        foreach (self::COLLEAGUES as $field => $column) {
            if ($input[$field] !== null && ! User::query()->whereKey($input[$field])->exists()) {
                $problems->add($field, 'Choose a colleague.');
            }
            $party->setAttribute($column, $input[$field]);
        }
        if ($input['language'] !== '' && ! Languages::exists($input['language'])) {
            $problems->add('language', 'Choose a language.');
        }
        $party->language = $input['language'];
        $party->source = $problems->at('source', fn () => NamePart::tidy($input['source'])) ?? '';
        $party->grade = $input['grade'] === null ? null : $problems->at('grade', fn () => Grade::of($input['grade']));
        $this->readLetters($party, $input, $problems);
        $codes = $this->codes($party, $kept, $input['codes'], $isRestored, $problems);
        $problems->throwIfAny();

        return [[...$types, ...$tags], $codes];
    }

    /** @param  array<string, mixed>  $input  without it, it stays as it is */
    private function readLetters(Party $party, array $input, FieldProblems $problems): void
    {
        if (! array_key_exists('noLettersOn', $input)) {
            return;
        }
        /** @var array{noLettersOn: string, noLettersHow: string} $input */
        $since = $this->dates->day($input['noLettersOn'], 'noLettersOn', $problems);
        $how = $problems->at('noLettersHow', fn () => NamePart::tidy($input['noLettersHow'])) ?? '';
        if ($since?->isAfter($this->dates->today())) {
            $problems->add('noLettersOn', 'That day is still to come. Check the year.');
        }
        if ($since === null && $how !== '') {
            $problems->add('noLettersOn', 'Type the day they said so.');
        }
        $party->fill(['no_letters_on' => $since, 'no_letters_how' => $how]);
    }

    /**
     * @param Collection<int, PartyCode> $kept by number
     * @param list<array{id: int|null, system: string, value: string}> $rows
     *
     * @return list<PartyCode>
     */
    private function codes(Party $party, Collection $kept, array $rows, bool $isRestored, FieldProblems $problems): array
    {
        $codes = [];
        foreach ($rows as $rank => $row) {
            $system = $problems->at("codes.$rank.system", fn () => ListedNames::tidy($row['system']));
            $value = $problems->at("codes.$rank.value", fn () => NamePart::tidy($row['value']));
            if ($value === '') {
                $problems->add("codes.$rank.value", 'Type the number, or remove this line.');
            }
            $codes[] = KeptRow::of($kept, $row['id'], new PartyCode(['party_id' => $party->id]), $isRestored)
                ->fill(['system' => $system, 'value' => $value, 'rank' => $rank]);
        }

        return $codes;
    }
}
