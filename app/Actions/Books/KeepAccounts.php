<?php

declare(strict_types=1);

namespace App\Actions\Books;

use Almanac\Interchange\CsvTable;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Ledger\AccountKind;
use Almanac\Records\WordingRefused;
use Almanac\Refusal;
use App\Actions\Office\ListedNames;
use App\Models\LedgerAccount;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Keeps the chart of accounts, typed or read from a table. An account that is used is retired, never deleted. */
final readonly class KeepAccounts
{
    private const CODE_LENGTH = 20;

    /**
     * @param array{code: string, name: string, kind: string, isRetired: bool} $input
     *
     * @throws ValidationException
     */
    public function save(LedgerAccount $account, array $input): void
    {
        $problems = new FieldProblems;
        $code = $problems->at('code', fn () => ListedNames::tidy($input['code']));
        if (mb_strlen((string) $code) > self::CODE_LENGTH) {
            $problems->add('code', WordingRefused::tooLong(mb_strlen((string) $code), self::CODE_LENGTH)->getMessage());
        }
        $name = $problems->at('name', fn () => ListedNames::tidy($input['name']));
        if (LedgerAccount::query()->where('code', $code)->whereKeyNot($account->id ?? 0)->exists()) {
            $problems->add('code', WordingRefused::taken((string) $code)->getMessage());
        }
        $problems->throwIfAny();
        $account
            ->fill(['code' => $code, 'name' => $name, 'kind' => AccountKind::from($input['kind']), 'is_retired' => $input['isRetired']])
            ->save();
    }

    /**
     * Reads a chart of accounts: code, name, kind. What has a code that is known is renamed.
     *
     * @return int how many were read
     *
     * @throws ValidationException with every line that cannot be read; then nothing is taken
     */
    public function read(string $csv): int
    {
        return DB::transaction(function () use ($csv): int {
            $problems = [];
            $count = 0;
            $columns = null;
            foreach ($this->rows($csv) as $line => $cells) {
                if ($columns === null) {
                    $columns = array_flip(array_map(fn (string $cell) => mb_strtolower($cell), $cells));
                    $missing = array_values(array_diff(['code', 'name', 'kind'], array_keys($columns)));
                    if ($missing !== []) {
                        throw ValidationException::withMessages(['text' => InterchangeRefused::columnsMissing($missing)->getMessage()]);
                    }

                    continue;
                }
                $kind = AccountKind::tryFrom(mb_strtolower($cells[$columns['kind']] ?? ''));
                try {
                    if ($kind === null) {
                        throw ValidationException::withMessages(['kind' => 'The kind is income, expense, asset, liability or equity.']);
                    }
                    $code = $cells[$columns['code']] ?? '';
                    $this->save(LedgerAccount::query()->firstOrNew(['code' => trim($code)]), [
                        'code' => $code,
                        'name' => $cells[$columns['name']] ?? '',
                        'kind' => $kind->value,
                        'isRetired' => false,
                    ]);
                    $count++;
                } catch (ValidationException $refused) {
                    $problems[] = "Line $line: ".implode(' ', array_merge(...array_values($refused->errors())));
                }
            }
            if ($problems !== []) {
                throw ValidationException::withMessages(['text' => $problems]);
            }

            return $count;
        });
    }

    public function write(): string
    {
        return CsvTable::write([['code', 'name', 'kind'], ...LedgerAccount::query()->orderBy('code')->get()
            ->map(fn (LedgerAccount $account) => [$account->code, $account->name, $account->kind->value])->all()]);
    }

    /** @return iterable<int, list<string>> */
    private function rows(string $csv): iterable
    {
        try {
            return iterator_to_array(CsvTable::rows($csv), true);
        } catch (Refusal $refusal) {
            throw ValidationException::withMessages(['text' => $refusal->getMessage()]);
        }
    }
}
