<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Lists\Phrase;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Collection;

/**
 * What a list is of: the fields that it can be asked for, sorted by and shown with, and the words of its trade.
 *
 * @template TModel of Model
 */
interface ListRegister
{
    /** @return Collection<string, ListedField<TModel>> by key */
    public function fields(): Collection;

    /** @return list<Phrase> */
    public function phrases(User $reader): array;

    /** @return non-empty-list<string> the keys of those that are shown where nobody chose others; the first one always is */
    public function columns(): array;

    /** @return non-empty-list<string> the keys that it is sorted by where nobody asks otherwise, with a minus the other way round */
    public function sort(): array;
}
