<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\OnExisting;
use Almanac\Interchange\PartyRow;
use Almanac\Interchange\RowChanges;
use Almanac\Records\LogKind;
use Almanac\Records\PartyKind;
use Almanac\Records\SectionName;
use Almanac\Refusal;
use Almanac\Terms\Side;
use App\Actions\Banking\KeepBankDetails;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\OpenBalance;
use App\Actions\Notes\WriteLogEntry;
use App\Actions\Records\LogChanges;
use App\Actions\Records\SaveSection;
use App\Actions\Records\Sections;
use App\Facts\Interchange\MatchRows;
use App\Facts\Interchange\OfficeReading;
use App\Facts\Interchange\RowOfParty;
use App\Models\FormerRecord;
use App\Models\Office;
use App\Models\Party;
use App\Models\Position;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Validation\ValidationException;

/**
 * Writes what a line of a file says: a record that is new with all that it has, or what is other of one in the book.
 * Runs inside a transaction.
 */
final readonly class WriteRow
{
    private const FIRST_NUMBER = 1001;

    private const SEVERAL = ['contactPoints', 'addressUses', 'listItems', 'codes', 'taxNumbers', 'heldPositions', 'staffPositions'];

    private const ONE = ['clientTerms', 'vendorTerms', 'owner', 'accountManager', 'buyer'];

    public function __construct(
        private Sections $sections,
        private RowSections $inputs,
        private SaveSection $save,
        private LogChanges $log,
        private IndexParties $index,
        private KeepBankDetails $bank,
        private OpenBalance $opening,
        private WriteLogEntry $notes,
        private Clock $clock,
    ) {
    }

    /**
     * @param array<string, int> $companies those at which the line says that they work, by the keys of their names
     * @param string $from what it came in with
     *
     * @throws Refusal|ValidationException when something of it cannot be taken
     */
    public function add(PartyRow $row, array $companies, string $from, bool $takesNewWords, User $by): Party
    {
        $party = new Party([
            'kind' => $row->kind,
            'number' => $this->number((int) $row->value('number')),
            'created_at' => $this->clock->now(),
        ]);
        // Nothing of it is there yet: it need not be asked for.
        $party->setRelations(array_fill_keys(self::SEVERAL, new Collection) + array_fill_keys(self::ONE, null));
        foreach ($this->inputs->of($party, $row->withoutPositions(), [], [], $takesNewWords) as $name => $input) {
            $party->unsetRelations();
            $this->sections->named(SectionName::from($name))?->write($party, $input);
        }
        $party->unsetRelations();
        foreach ($row->positions as $position) {
            $this->hold($party, $companies[MatchRows::sortKey($position['company'])] ?? null, $position);
        }
        $this->log->ofRecord($party, mb_strimwidth("added as $party->display_name, from $from", 0, 500, '…'), $by);
        $this->index->these([$party->id]);
        $this->besides($party, $row, $by);

        return $party;
    }

    /**
     * @return list<int> the states that take it back
     *
     * @throws Refusal|ValidationException when something of it cannot be taken
     */
    public function change(Party $party, PartyRow $row, OnExisting $how, bool $takesNewWords, User $by): array
    {
        $changes = RowChanges::between(RowOfParty::of($party->load(RowOfParty::RELATIONS), OfficeReading::terms()), $row, $how);
        if ($changes === null) {
            return [];
        }
        $inputs = [];
        foreach ($this->inputs->of($party, $changes->added, $changes->moved, $changes->held, $takesNewWords) as $name => $input) {
            $section = $this->sections->named(SectionName::from($name)) ?? throw new \LogicException("There is no section $name.");
            $inputs[] = [$section, $input];
        }
        $made = $inputs === [] ? null : $this->save->several($party, $inputs, $by);
        $this->besides($party, $changes->added, $by);

        return $made === null ? [] : [$made];
    }

    /** A company that a line names, and that the book does not have. */
    public function company(string $name, string $from, User $by): Party
    {
        return $this->add(new PartyRow(PartyKind::Company, ['name' => $name]), [], $from, false, $by);
    }

    /** @param  array{company: string, title: string, department: string}  $position */
    private function hold(Party $person, ?int $company, array $position): void
    {
        if ($company !== null) {
            Position::query()->create([
                'person_id' => $person->id, 'company_id' => $company, 'title' => $position['title'],
                'department' => $position['department'],
                'is_primary' => Position::query()->where('company_id', $company)->whereNull('until')->doesntExist(),
            ]);
        }
    }

    /** What is no section: bank details, which are on hold, what was owed when the books began, and a note. */
    private function besides(Party $party, PartyRow $row, User $by): void
    {
        foreach ($row->accounts as $account) {
            $this->bank->add($party, $account, $by);
        }
        foreach (Side::cases() as $side) {
            $amount = $row->value($side === Side::Client ? 'receivable' : 'payable');
            if ($amount !== '' && (float) $amount !== 0.0) {
                $this->opening->handle($party, [
                    'side' => $side->value, 'amount' => Office::current()->decimalSign()->write($amount),
                    'currency' => Office::current()->currency(),
                    'asOf' => $row->value('balance-on') === '' ? $this->clock->today()->toIso() : $row->value('balance-on'),
                ], $by);
            }
        }
        if ($row->note !== '') {
            $this->notes->write(
                $party,
                ['kind' => LogKind::Note->value, 'day' => '', 'withPartyId' => null, 'text' => $row->note, 'isPinned' => false],
                $by,
            );
        }
    }

    /** The one that the line names where nobody has or had it; else the next. */
    private function number(int $wanted): int
    {
        $isFree = $wanted > 0
            && Party::query()->where('number', $wanted)->doesntExist()
            && FormerRecord::query()->where('number', $wanted)->doesntExist();

        return $isFree
            ? $wanted
            : max(self::FIRST_NUMBER - 1, (int) Party::query()->max('number'), (int) FormerRecord::query()->max('number')) + 1;
    }
}
