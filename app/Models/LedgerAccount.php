<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Ledger\AccountKind;

/**
 * An entry of the chart of accounts.
 *
 * @property int $id
 * @property string $code
 * @property string $name
 * @property AccountKind $kind
 * @property bool $is_retired
 */
final class LedgerAccount extends Model
{
    protected $table = 'ledger_accounts';

    protected $attributes = ['is_retired' => false];

    protected function casts(): array
    {
        return ['kind' => AccountKind::class, 'is_retired' => 'boolean'];
    }

    public function display(): string
    {
        return $this->code.' '.$this->name;
    }
}
