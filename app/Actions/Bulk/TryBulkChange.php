<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

use Almanac\Bulk\BulkRefused;
use App\Database\DryRun;
use App\Database\Ids;
use App\Facts\Lists\Chosen;
use App\Facts\Lists\PartyList;
use App\Models\Change;
use App\Models\Party;
use App\Models\User;
use App\Register\Hold;
use App\Register\PartyReferences;
use App\Time\Clock;
use Illuminate\Database\Query\Builder;
use Illuminate\Validation\ValidationException;

/** Tries a bulk change on the first few of those that were chosen, and takes it back: what would be, before it is. */
final readonly class TryBulkChange
{
    private const EXAMPLES = 10;

    public function __construct(private BulkActs $acts, private Clock $clock)
    {
    }

    /**
     * @param  array{
     *     kind: string, values: list<string>, side?: string|null, field?: string|null, fieldId?: int|null, day?: string|null,
     *     userId?: int|null, engagementId?: int|null, roleId?: int|null,
     * }  $input
     *
     * @throws ValidationException when it cannot be for anybody
     * @throws BulkRefused when nobody is chosen
     */
    public function handle(Chosen $chosen, array $input, User $by): TriedBulkChange
    {
        return DryRun::of(function () use ($chosen, $input, $by): TriedBulkChange {
            $act = $this->acts->of($input);
            $list = new PartyList($this->clock, $chosen->wanted(), $by);
            $rows = fn (): Builder => $list->chosen($chosen);
            $total = $rows()->count();
            if ($total === 0) {
                throw BulkRefused::nobody();
            }
            $condition = $act->isSo();
            $isSo = $condition === null ? null : $list->asking($condition);
            [$cannot, $why] = $this->cannot($act);
            $left = $rows()->when($isSo !== null, fn (Builder $some) => $some->whereRaw("not {$isSo?->sql}", $isSo->bindings ?? []));

            return new TriedBulkChange(
                $act->title(),
                $total,
                $isSo === null ? 0 : $rows()->whereRaw($isSo->sql, $isSo->bindings)->whereRaw("not ($cannot)")->count(),
                $rows()->whereRaw($cannot)->count(),
                $why,
                array_map(
                    fn (int $id) => $this->tried($act, Party::query()->findOrFail($id), $by),
                    Ids::of($left->whereRaw("not ($cannot)")->orderBy('v.collated')->limit(self::EXAMPLES)->pluck('v.party_id')),
                ),
            );
        });
    }

    /** @return array{string, string} who cannot have it, as the database tells it, and why */
    private function cannot(BulkAct $act): array
    {
        if ($act instanceof DeleteEdit) {
            $bound = ['select subject_id from files'];
            foreach (PartyReferences::all() as $reference) {
                if ($reference->hold === Hold::Binding) {
                    $bound[] = "select $reference->column from $reference->table where $reference->column is not null";
                }
            }

            return ['v.party_id in ('.implode(' union ', $bound).')', 'Something refers to them, or they have files: they stay.'];
        }

        return $act->isForUsed() === true ? ['v.is_in_use = 0', 'They are archived. Restore them to change them.'] : ['0', ''];
    }

    /** @return array{id: int, name: string, label: string, from: string, to: string, refusal: string} */
    private function tried(BulkAct $act, Party $party, User $by): array
    {
        $last = (int) Change::query()->max('id');
        $example = ['id' => $party->id, 'name' => $party->file_as, 'label' => $act->title(), 'from' => '', 'to' => '', 'refusal' => ''];
        try {
            $act->apply($party, $by);
        } catch (\Throwable $why) {
            return ['refusal' => RunBulkChange::words($why)] + $example;
        }
        $made = Change::query()->where('subject_id', $party->id)->where('id', '>', $last)->orderBy('id')->first();

        return $made instanceof Change ? ['label' => $made->label, 'from' => $made->from, 'to' => $made->to] + $example : $example;
    }
}
