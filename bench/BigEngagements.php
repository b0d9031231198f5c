<?php

declare(strict_types=1);

namespace Bench;

use Almanac\Finding\Fold;
use App\Actions\Engagements\StarterKinds;
use App\Models\EngagementKind;
use App\Models\EngagementStage;
use Illuminate\Support\Facades\DB;

/** Cases and projects of a big office, three for ten records, with three parties each; one has two hundred documents. */
final class BigEngagements
{
    public const DOCUMENTS_OF_THE_FIRST = 200;

    private const CHUNK = 500;

    private const PLACES = ['Tower', 'Harbor', 'Meridian', 'Orchard', 'Furnace', 'Quarry', 'Mill', 'Chapel', 'Depot', 'Garden'];

    private const WORK = ['clock', 'roof', 'claim', 'survey', 'flood', 'bell', 'engine', 'dial', 'window', 'audit', 'lease', 'estate'];

    /** @var array<string, list<array<string, mixed>>> rows to be written, by table */
    private array $rows = [];

    public function __construct(private readonly StarterKinds $starters)
    {
    }

    public function fill(int $records): void
    {
        mt_srand(23);
        if (! EngagementKind::query()->exists()) {
            $this->starters->handle();
        }
        $kinds = EngagementKind::query()->with('stages', 'roles')->get();
        $names = DB::table('parties')->pluck('display_name', 'id');
        $next = (int) DB::table('subjects')->max('id') + 1;
        for ($n = 0; $n < intdiv($records * 3, 10); $n++) {
            $kind = $kinds[$n % 2 === 0 ? 0 : 1] ?? $kinds->firstOrFail();
            $this->one($next + $n, $n, $kind, $names->all());
            if ($n % self::CHUNK === self::CHUNK - 1) {
                DB::transaction($this->write(...));
            }
        }
        DB::transaction($this->write(...));
        DB::update('UPDATE documents SET engagement_id = ? WHERE id IN (SELECT id FROM documents ORDER BY id LIMIT ?)', [
            $next, self::DOCUMENTS_OF_THE_FIRST,
        ]);
        DB::statement('ANALYZE');
    }

    /** @param  array<int, string>  $names */
    private function one(int $id, int $n, EngagementKind $kind, array $names): void
    {
        $year = 2016 + $n % 11;
        $begun = sprintf('%d-%02d-%02d', $year, $n % 9 + 1, $n % 27 + 1);
        /** @var EngagementStage $stage */
        $stage = $year < 2025 ? $kind->stages->last() : $kind->stages[mt_rand(0, $kind->stages->count() - 1)];
        $title = self::PLACES[mt_rand(0, 9)].' '.self::WORK[mt_rand(0, 11)].' '.Names::family();
        $number = sprintf('%s%d-%05d', $kind->sign, $year, $n);
        $words = [$number, $title];
        foreach ([0, 1, 2] as $rank) {
            $partyId = array_rand($names);
            $role = $kind->roles[$rank] ?? $kind->roles->firstOrFail();
            $words[] = "$names[$partyId] $role->name";
            $this->rows['engagement_parties'][] = [
                'engagement_id' => $id, 'party_id' => $partyId, 'role_id' => $role->id, 'is_mailed' => $rank === 0,
                'note' => '', 'rank' => $rank,
            ];
        }
        $this->rows['subjects'][] = ['id' => $id, 'kind' => 'engagement'];
        $this->rows['engagements'][] = [
            'id' => $id, 'kind_id' => $kind->id, 'number' => $number, 'title' => $title, 'owner_id' => 1, 'is_private' => $n % 500 === 7,
            'currency' => 'USD', 'agreed_minor' => mt_rand(1, 900) * 10000, 'stage_id' => $stage->id, 'moved_on' => $begun,
            'is_closed' => ! $stage->meaning->isLive(), 'begun_on' => $begun, 'user_id' => 1,
            'created_at' => "$begun 08:00:00", 'updated_at' => "$begun 08:00:00",
        ];
        $this->rows['engagement_words'][] = ['rowid' => $id, 'words' => Fold::text(implode(' ', $words))];
        $this->rows['engagement_moves'][] = [
            'engagement_id' => $id, 'stage_id' => $stage->id, 'moved_on' => $begun, 'reason' => '', 'user_id' => 1,
            'at' => "$begun 08:00:00",
        ];
    }

    private function write(): void
    {
        foreach (['subjects', 'engagements', 'engagement_moves', 'engagement_parties', 'engagement_words'] as $table) {
            foreach (array_chunk($this->rows[$table] ?? [], 100) as $some) {
                DB::table($table)->insert($some);
            }
        }
        $this->rows = [];
    }
}
