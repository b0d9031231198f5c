<?php

declare(strict_types=1);

namespace App\Actions\Records;

use App\Database\ManyRows;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;

/** Finds the row that a line of a section is kept in. */
final class KeptRow
{
    /**
     * The row that is kept, or a new one. A line of a former state gets its former number back when nothing else has
     * it, so that what was linked to it is linked again.
     *
     * @template M of Model
     *
     * @param Collection<int, M> $kept by number
     * @param M $new
     *
     * @return M
     */
    public static function of(Collection $kept, ?int $id, Model $new, bool $isRestored): Model
    {
        $row = $kept->get($id ?? 0);
        if ($row !== null) {
            return $row;
        }
        if ($isRestored && $id !== null && $new->newQuery()->whereKey($id)->doesntExist()) {
            $new->setAttribute('id', $id);
        }

        return $new;
    }

    /**
     * Of the rows that are kept, those go that are no longer told.
     *
     * @param Collection<int, covariant Model> $kept
     * @param array<int> $told their numbers
     */
    public static function deleteBut(Collection $kept, array $told): void
    {
        $gone = $kept->except($told);
        if ($gone->isNotEmpty()) {
            $gone->toQuery()->delete();
        }
    }

    /**
     * Writes them; those that are new by one statement.
     *
     * @param array<Model> $rows of one table
     */
    public static function saveAll(array $rows): void
    {
        $new = [];
        foreach ($rows as $row) {
            if ($row->exists) {
                $row->save();
            } else {
                $row->updateTimestamps();
                $new[implode(' ', array_keys($row->getAttributes()))][] = $row->getAttributes();
            }
        }
        foreach ($new as $alike) {
            ManyRows::insert($rows[array_key_first($rows)]->getTable(), $alike);
        }
    }
}
