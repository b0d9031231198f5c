<?php

declare(strict_types=1);

namespace App\Queries\Mailing;

use App\Http\Data\Mailing\OutboxData;
use App\Http\Data\Mailing\SentMessageData;
use App\Models\Message;
use Illuminate\Database\Eloquent\Builder;

/** Reads what was sent, the newest first. */
final readonly class ReadOutbox
{
    private const PAGE = 50;

    public function handle(string $wanted, int $page): OutboxData
    {
        $like = '%'.addcslashes(trim($wanted), '%_\\').'%';
        $messages = Message::query()->when(trim($wanted) !== '', fn (Builder $all) => $all->where(
            fn (Builder $one) => $one->whereRaw("\"to\" like ? escape '\\'", [$like])->orWhereRaw("subject like ? escape '\\'", [$like])
                ->orWhereHas('party', fn (Builder $party) => $party->whereRaw("display_name like ? escape '\\'", [$like])),
        ));
        $total = $messages->count();
        $pages = max(1, (int) ceil($total / self::PAGE));
        $page = min($page, $pages);

        return new OutboxData(
            array_values(
                $messages->with('party', 'user')
                    ->orderByDesc('id')->forPage($page, self::PAGE)->get()->map(SentMessageData::of(...))->all(),
            ),
            $total,
            $page,
            $pages,
        );
    }
}
