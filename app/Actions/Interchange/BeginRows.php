<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\PartyRow;
use Almanac\Records\PartyKind;
use Almanac\Records\SectionName;
use Almanac\Refusal;
use App\Actions\Records\NewRecords;
use App\Actions\Records\SectionOfNew;
use App\Actions\Records\Sections;
use App\Facts\Interchange\MatchRows;
use App\Models\Party;
use App\Models\Position;
use Illuminate\Validation\ValidationException;

/** Makes records of the lines of a file, those of one transaction: nothing is written yet. */
final class BeginRows
{
    /** @var array<int, bool> companies at which somebody works now, by record */
    private array $staffed;

    /** @param  array<string, Party>  $companies  of the book at which somebody of them works, by the keys of their names */
    public function __construct(
        private readonly Sections $sections,
        private readonly RowSections $inputs,
        private readonly NewRecords $records,
        private array $companies,
        private readonly bool $takesNewWords,
    ) {
        $ids = array_values(array_map(fn (Party $company) => $company->id, $companies));
        $this->staffed = array_fill_keys(
            Position::query()->whereIntegerInRaw('company_id', $ids)->whereNull('until')->distinct()->pluck('company_id')->all(),
            true,
        );
    }

    /**
     * @param array<int, PartyRow> $rows by line, companies first: people of the others may work there
     *
     * @return array<int, AddedRow|Refusal|ValidationException> by line
     */
    public function all(array $rows): array
    {
        return array_map(function (PartyRow $row): AddedRow|Refusal|ValidationException {
            try {
                return $this->one($row);
            } catch (Refusal|ValidationException $why) {
                return $why;
            }
        }, $rows);
    }

    private function one(PartyRow $row): AddedRow
    {
        $party = $this->record($row);
        $made = [];
        foreach ($row->positions as $position) {
            $key = MatchRows::sortKey($position['company']);
            if (! isset($this->companies[$key])) {
                $made[$key] ??= $this->record(new PartyRow(PartyKind::Company, ['name' => $position['company']]));
            }
            $party->heldPositions->push($this->position($party, $this->companies[$key] ?? $made[$key], $position));
        }
        // As they are read from the book.
        $party->setRelation('heldPositions', $party->heldPositions->sortByDesc('is_primary')->values());
        // Nothing of it can be refused any more.
        $this->companies += $made;
        if ($row->kind === PartyKind::Company) {
            $this->companies += [MatchRows::sortKey($row->value('name')) => $party];
        }
        foreach ($party->heldPositions as $held) {
            $this->staffed[$held->company_id] = true;
        }

        return new AddedRow($party, array_values($made));
    }

    private function record(PartyRow $row): Party
    {
        $party = $this->records->begin($row->kind);
        foreach ($this->inputs->of($party, $row->withoutPositions(), $this->takesNewWords) as $name => $input) {
            $section = $this->sections->named(SectionName::from($name));
            if (! $section instanceof SectionOfNew) {
                throw new \LogicException("No record comes into the book with $name.");
            }
            $section->begin($party, $input, $this->records);
        }

        return $party;
    }

    /** @param  array{company: string, title: string, department: string}  $held */
    private function position(Party $person, Party $company, array $held): Position
    {
        $isFirst = ! isset($this->staffed[$company->id]) && ! $person->heldPositions->contains('company_id', $company->id);

        return $this->records->numbered(new Position([
            'person_id' => $person->id, 'company_id' => $company->id,
            'title' => $held['title'], 'department' => $held['department'], 'is_primary' => $isFirst, 'since' => null, 'until' => null,
        ]))->setRelation('company', $company);
    }
}
