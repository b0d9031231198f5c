<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\PartyRow;
use Almanac\Records\LogKind;
use Almanac\Refusal;
use Almanac\Terms\Side;
use App\Actions\Banking\KeepBankDetails;
use App\Actions\Ledger\OpenBalance;
use App\Actions\Notes\WriteLogEntry;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Validation\ValidationException;

/** What a line says that is no section: bank details, which are on hold, what was owed when the books began, and a note. */
final readonly class RowBesides
{
    public function __construct(
        private KeepBankDetails $bank,
        private OpenBalance $opening,
        private WriteLogEntry $notes,
        private Clock $clock,
    ) {
    }

    public static function isAnyIn(PartyRow $row): bool
    {
        return $row->accounts !== [] || $row->note !== '' || self::amount($row, Side::Client) !== '' || self::amount($row, Side::Vendor) !== '';
    }

    /**
     * Runs inside a transaction.
     *
     * @throws Refusal|ValidationException when something of it cannot be taken
     */
    public function handle(Party $party, PartyRow $row, User $by): void
    {
        // Each of them reads it again within the lock, and with it whatever was read of it before.
        $party = $party->withoutRelations();
        foreach ($row->accounts as $account) {
            $this->bank->add($party, $account, $by);
        }
        foreach (Side::cases() as $side) {
            $amount = self::amount($row, $side);
            if ($amount !== '') {
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

    /** Empty for nothing. */
    private static function amount(PartyRow $row, Side $side): string
    {
        return $row->value($side === Side::Client ? 'receivable' : 'payable');
    }
}
