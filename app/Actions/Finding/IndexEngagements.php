<?php

declare(strict_types=1);

namespace App\Actions\Finding;

use Almanac\Finding\Fold;
use App\Database\LongWork;
use App\Models\DetailValue;
use App\Models\Engagement;
use App\Models\EngagementParty;
use Illuminate\Support\Facades\DB;

/** Keeps the words by which a case or a project is found. Runs inside the transaction of the change. */
final class IndexEngagements
{
    private const LONGEST = 4000;

    private const CHUNK = 50;

    public function keep(Engagement $engagement): void
    {
        $engagement->unsetRelations()->load('parties.party', 'parties.role', 'parties.via', 'siteAddress', 'detailValues.field');
        $site = $engagement->site();
        $words = [
            $engagement->number,
            $engagement->title,
            ...$engagement->parties->map(
                fn (EngagementParty $one) => "{$one->party->display_name} {$one->role->name} ".($one->via->display_name ?? ''),
            )->all(),
            ...($site === null ? [] : [...$site->lines, $site->locality, $site->region, $site->postcode]),
            ...$engagement->detailValues->reject(fn (DetailValue $value) => $value->field->isSecret())->pluck('value')->all(),
        ];
        DB::table('engagement_words')->where('rowid', $engagement->id)->delete();
        DB::table('engagement_words')->insert([
            'rowid' => $engagement->id,
            'words' => mb_substr(Fold::text(implode(' ', $words)), 0, self::LONGEST),
        ]);
    }

    public function everything(): void
    {
        Engagement::everyOne()->chunkById(self::CHUNK, function ($some): void {
            LongWork::step(fn () => $some->each($this->keep(...)));
        });
    }

    /** Of those of a kind, when one of its roles is called otherwise. */
    public function ofKind(int $kindId): void
    {
        Engagement::everyOne()->where('kind_id', $kindId)->get()->each($this->keep(...));
    }

    /** Of those in which somebody is, when their name has changed. */
    public function ofParty(int $partyId): void
    {
        Engagement::everyOne()
            ->whereIn('id', EngagementParty::query()->select('engagement_id')->where('party_id', $partyId)->orWhere('via_id', $partyId))
            ->get()
            ->each($this->keep(...));
    }
}
