<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Something that happened to a document.
 *
 * @property int $id
 * @property int $document_id
 * @property string $text
 * @property int $user_id
 * @property Carbon $at
 * @property-read User $user
 * @property-read Document $document
 */
final class DocumentEvent extends Model
{
    protected $table = 'document_events';

    public $timestamps = false;

    protected function casts(): array
    {
        return ['at' => 'datetime'];
    }

    /** @return BelongsTo<Document, $this> */
    public function document(): BelongsTo
    {
        return $this->belongsTo(Document::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
