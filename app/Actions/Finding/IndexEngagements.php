<?php

declare(strict_types=1);

namespace App\Actions\Finding;

use Almanac\Finding\Fold;
use App\Database\LongWork;
use App\Models\DetailValue;
use App\Models\Engagement;
use App\Models\EngagementParty;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Keeps the words by which a case or a project is found: one inside the transaction of its change, many by steps of their own. */
final class IndexEngagements
{
    private const LONGEST = 4000;

    private const CHUNK = 50;

    private const READS = ['parties.party', 'parties.role', 'parties.via', 'siteAddress', 'detailValues.field'];

    public function keep(Engagement $engagement): void
    {
        $this->write($engagement->unsetRelations()->load(self::READS));
    }

    public function everything(): void
    {
        $this->bySteps(Engagement::everyOne());
    }

    /** Of those of a kind, after one of its roles has been called otherwise. */
    public function ofKind(int $kindId): void
    {
        $this->bySteps(Engagement::everyOne()->where('kind_id', $kindId));
    }

    /** Of those in which somebody is, when their name has changed. */
    public function ofParty(int $partyId): void
    {
        Engagement::everyOne()->whereIn(
            'id',
            EngagementParty::query()->select('engagement_id')->where('party_id', $partyId)->orWhere('via_id', $partyId),
        )->with(self::READS)->chunkById(self::CHUNK, fn (Collection $some) => $some->each($this->write(...)));
    }

    /** @param  Builder<Engagement>  $engagements */
    private function bySteps(Builder $engagements): void
    {
        $engagements->select('id')->chunkById(self::CHUNK, function (Collection $some): void {
            // Read inside the step: a name that was saved a moment ago is not written over by the one before.
            LongWork::step(fn () => Engagement::everyOne()->with(self::READS)->findMany($some->modelKeys())->each($this->write(...)));
        });
    }

    private function write(Engagement $engagement): void
    {
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
}
