<?php

declare(strict_types=1);

namespace App\Acts;

use App\Models\Act;
use App\Models\BankDetail;
use App\Models\ConflictFinding;
use App\Models\ConflictSearch;
use App\Models\CostCentre;
use App\Models\CurrencyRate;
use App\Models\DetailField;
use App\Models\DetailSheet;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\Import;
use App\Models\LedgerAccount;
use App\Models\ListedTerms;
use App\Models\ListItem;
use App\Models\MailServer;
use App\Models\Office;
use App\Models\Party;
use App\Models\Payment;
use App\Models\TaxRate;
use App\Models\User;
use DateTimeInterface;
use Illuminate\Database\Eloquent\Model;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * Hears what an act changes, and keeps it with who did it: from what, to what. What a record keeps in a log
 * of its own is only named here. Nothing that is secret is told.
 */
final class ActLog
{
    /** What is told in full, and what it is called. */
    private const KINDS = [
        Office::class => 'office',
        MailServer::class => 'mail server',
        User::class => 'user',
        ListedTerms::class => 'terms',
        ListItem::class => 'list',
        DetailSheet::class => 'sheet',
        DetailField::class => 'field',
        TaxRate::class => 'tax rate',
        LedgerAccount::class => 'account',
        CostCentre::class => 'cost center',
        CurrencyRate::class => 'rate',
        Document::class => 'document',
        Payment::class => 'payment',
        Import::class => 'import',
        PersonalAccessToken::class => 'token',
        Party::class => 'record',
        BankDetail::class => 'bank details',
    ];

    private const SECRET = [
        'password',
        'remember_token',
        'calendar_hash',
        'token',
        'value',
        'fingerprint',
        'abilities',
        'born_on',
        'path',
        'problems',
        'settings',
        'logo_path',
    ];

    /** What follows from the rest, and tells nobody anything. */
    private const DERIVED = [
        'id',
        'created_at',
        'updated_at',
        'sort_key',
        'version',
        'copy',
        'open_minor',
        'next_due_on',
        'is_in_parts',
        'last_used_at',
        'tokenable_type',
        'taken',
        'found',
        'lines',
        'last_change_id',
        'checked_to',
        'highest_number',
        'state_since',
        'began_on',
        'search_key',
        'net_minor',
        'tax_minor',
        'user_id',
        'party_id',
        'sheet_id',
        'type_id',
        'rank',
        'import_id',
        'replaces_id',
        'engagement_id',
        'engagement_kind_id',
        'source_id',
        'decided_by_id',
        'decided_at',
        'end_user_id',
        'bank_detail_id',
        'form_file_id',
        'company_name',
        'file_as',
    ];

    private const LONGEST = 200;

    private const MOST = 60;

    /**
     * @var list<array{
     *     string, Model, list<array{label: string, from: string, to: string}>,
     * }> what happened, to what, and what is different
     */
    private array $heard = [];

    public function hear(string $event, Model $model): void
    {
        if (! isset(self::KINDS[$model::class]) || count($this->heard) >= self::MOST) {
            return;
        }
        $what = match (true) {
            str_starts_with($event, 'eloquent.created') => 'added',
            str_starts_with($event, 'eloquent.deleted') => 'deleted',
            default => 'changed',
        };
        $differences = $this->differences($model, $what);
        if ($differences !== [] || $what === 'deleted') {
            $this->heard[] = [$what, $model, $differences];
        }
    }

    public function forget(): void
    {
        $this->heard = [];
    }

    /**
     * Keeps what was heard; where nothing was, what was done is told by the name of the act.
     *
     * @param string $act as in "Import holidays"
     * @param Model|null $about what the request was about
     */
    public function keep(User $by, string $act, ?Model $about, DateTimeInterface $at): void
    {
        $heard = $this->heard === [] ? [[lcfirst($act), $about, []]] : $this->heard;
        foreach ($heard as [$what, $model, $differences]) {
            Act::query()->create([
                'at' => $at, 'user_id' => $by->id, 'user_name' => $by->name, 'what' => mb_strimwidth($what, 0, 200, '…'),
                'subject' => self::subjectOf($model), 'subject_id' => $model?->getKey(),
                'name' => $model === null ? '' : self::nameOf($model), 'differences' => $differences,
            ]);
        }
        $this->forget();
    }

    private static function subjectOf(?Model $model): string
    {
        return match (true) {
            $model === null => 'office',
            $model instanceof Engagement => 'case or project',
            $model instanceof ConflictFinding, $model instanceof ConflictSearch => 'conflict search',
            default => self::KINDS[$model::class] ?? 'record',
        };
    }

    private static function nameOf(Model $model): string
    {
        if ($model instanceof Engagement) {
            // Whoever reads the log of the office may not be one of those who may see it.
            return $model->is_private ? '' : $model->number;
        }
        if ($model instanceof Document || $model instanceof Payment) {
            return $model instanceof Document ? $model->title() : $model->amount()->toText();
        }
        foreach (['display_name', 'kept_name', 'name', 'masked', 'currency', 'host'] as $attribute) {
            $value = $model->getAttributes()[$attribute] ?? null;
            if (is_string($value) && $value !== '') {
                return mb_strimwidth($value, 0, self::LONGEST, '…');
            }
        }

        return '';
    }

    /** @return list<array{label: string, from: string, to: string}> */
    private function differences(Model $model, string $what): array
    {
        $now = $what === 'deleted' ? [] : $model->getAttributes();
        $before = match ($what) {
            'added' => [],
            'deleted' => $model->getAttributes(),
            default => array_intersect_key($model->getPrevious(), $model->getChanges()),
        };
        $differences = [];
        foreach (array_keys($what === 'changed' ? $model->getChanges() : $now + $before) as $key) {
            if (in_array($key, self::DERIVED, true)) {
                continue;
            }
            [$from, $to] = [ActLabels::value($model, $key, $before[$key] ?? null), ActLabels::value($model, $key, $now[$key] ?? null)];
            if ($from !== $to) {
                $isSecret = in_array($key, self::SECRET, true);
                $differences[] = [
                    'label' => ActLabels::label($key),
                    'from' => $isSecret && $from !== '' ? '••••' : $from,
                    'to' => $isSecret && $to !== '' ? '•••• new' : $to,
                ];
            }
        }

        return $differences;
    }
}
