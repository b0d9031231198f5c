<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A letter that the office writes again and again, with fields that are filled in for each reader.
 *
 * @property int $id
 * @property string $name
 * @property string $subject
 * @property string $body
 * @property int $version
 * @property int $user_id who saved it last
 * @property-read User $user
 */
final class LetterTemplate extends Model
{
    protected $table = 'letter_templates';

    protected $attributes = ['version' => 0];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
