<?php

declare(strict_types=1);

namespace App\Actions\Lists;

use Almanac\Lists\ListOf;
use Almanac\Records\StaleSave;
use Almanac\Records\Wording;
use Almanac\Records\WordingRefused;
use App\Models\SavedList;
use App\Models\User;
use App\Validation\FieldProblems;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Keeps lists under names: somebody's own, and everybody's.
 *
 * @phpstan-type SavedListInput array{
 *     name: string, sentence: string, choices: string, columns: list<string>, sort: string, view: string, countedBy: string,
 *     period: string, isShared: bool,
 * }
 */
final readonly class KeepSavedLists
{
    private const LONGEST_NAME = 80;

    private const MOST = 200;

    /**
     * @param SavedListInput $input
     *
     * @throws ValidationException when it has no name, or they have one of that name
     */
    public function add(ListOf $list, array $input, User $by): SavedList
    {
        return DB::transaction(function () use ($list, $input, $by): SavedList {
            if (SavedList::query()->where('user_id', $by->id)->count() >= self::MOST) {
                throw ValidationException::withMessages(['name' => 'You keep '.self::MOST.' lists. Remove one first.']);
            }

            return $this->write(new SavedList(['user_id' => $by->id, 'list' => $list]), $input);
        });
    }

    /**
     * @param SavedListInput $input
     *
     * @throws ValidationException when it has no name, or they have another of that name
     * @throws AuthorizationException when it is somebody else's
     * @throws StaleSave when somebody else has saved it since
     */
    public function change(SavedList $list, array $input, int $version, User $by): SavedList
    {
        return DB::transaction(fn (): SavedList => $this->write($this->mine($list, $version, $by), $input));
    }

    /**
     * @throws AuthorizationException when it is somebody else's
     * @throws StaleSave when somebody else has saved it since
     */
    public function remove(SavedList $list, int $version, User $by): void
    {
        DB::transaction(fn () => $this->mine($list, $version, $by)->delete());
    }

    private function mine(SavedList $list, int $version, User $by): SavedList
    {
        $list->refresh();
        if (! $list->mayBeChangedBy($by)) {
            throw new AuthorizationException('Only who keeps a list changes it. Copy it, and change the copy.');
        }
        StaleSave::unlessSeen($list->version, $version, 'this list');
        $list->version++;

        return $list;
    }

    /** @param  SavedListInput  $input */
    private function write(SavedList $list, array $input): SavedList
    {
        $problems = new FieldProblems;
        $name = $problems->at('name', fn () => Wording::line($input['name'], self::LONGEST_NAME, 'Type a name for the list.'));
        $others = SavedList::query()
            ->where(['user_id' => $list->user_id, 'list' => $list->list, 'name' => $name])->whereKeyNot($list->id ?? 0);
        if ($name !== null && $others->exists()) {
            $problems->add('name', WordingRefused::taken($name)->getMessage());
        }
        $problems->throwIfAny();
        $list->fill([
            'name' => $name,
            'sentence' => $input['sentence'],
            'choices' => $input['choices'],
            'columns' => $input['columns'],
            'sort' => $input['sort'],
            'view' => $input['view'],
            'counted_by' => $input['countedBy'],
            'period' => $input['period'],
            'is_shared' => $input['isShared'],
        ])->save();

        return $list;
    }
}
