<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Banking\AccountKind;
use Almanac\Banking\AccountUse;
use Almanac\Banking\BankAccount;
use Almanac\Banking\BankState;
use Almanac\Banking\Confirmation;
use App\Models\Values\Fingerprint;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Bank details of a party, or the name it is paid under, in one version: on hold until a second person
 * has confirmed it, then in force until the next one is. None is ever changed or deleted.
 *
 * @property int $id
 * @property int $party_id
 * @property string $kind one of AccountKind, or PAYEE
 * @property string $holder
 * @property string $bank_name
 * @property string $value encrypted: account, bank and use in one
 * @property string $masked
 * @property string $fingerprint
 * @property BankState $state
 * @property int|null $replaces_id
 * @property int $user_id who entered it
 * @property int|null $decided_by_id
 * @property int|null $end_user_id who asked for its end
 * @property Carbon|null $decided_at
 * @property Confirmation|null $how it was confirmed
 * @property string $remark
 * @property Carbon $created_at
 * @property-read User $user
 * @property-read User|null $decidedBy
 * @property-read User|null $endUser
 * @property-read Party $party
 */
final class BankDetail extends Model
{
    protected $table = 'bank_details';

    public const PAYEE = 'payee';

    /** What waits for a second person. */
    public const WAITING = [BankState::OnHold, BankState::Ending];

    protected $attributes = [
        'holder' => '',
        'bank_name' => '',
        'how' => null,
        'remark' => '',
        'replaces_id' => null,
        'decided_by_id' => null,
        'end_user_id' => null,
        'decided_at' => null,
    ];

    protected function casts(): array
    {
        return ['value' => 'encrypted', 'decided_at' => 'datetime', 'state' => BankState::class, 'how' => Confirmation::class];
    }

    public function setAccount(BankAccount $account): void
    {
        $this->fill([
            'kind' => $account->kind->value,
            'value' => implode('|', [$account->account, $account->bank, $account->use->value ?? '']),
            'masked' => $account->masked(),
            'fingerprint' => Fingerprint::of($account->identity()),
        ]);
    }

    /** @return BankAccount|null null where it is only a payee name */
    public function account(): ?BankAccount
    {
        [$account, $bank, $use] = explode('|', $this->value) + ['', '', ''];

        return match (AccountKind::tryFrom($this->kind)) {
            AccountKind::Iban => BankAccount::iban($account, $bank),
            AccountKind::UsAccount => BankAccount::us($bank, $account, AccountUse::from($use)),
            AccountKind::UkAccount => BankAccount::uk($bank, $account),
            null => null,
        };
    }

    public function kindTitle(): string
    {
        return AccountKind::tryFrom($this->kind)?->title() ?? 'payee name';
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function decidedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'decided_by_id');
    }

    /** @return BelongsTo<User, $this> */
    public function endUser(): BelongsTo
    {
        return $this->belongsTo(User::class, 'end_user_id');
    }

    /** @return BelongsTo<Party, $this> */
    public function party(): BelongsTo
    {
        return $this->belongsTo(Party::class);
    }
}
