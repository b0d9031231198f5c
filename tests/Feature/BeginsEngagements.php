<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Engagement;
use App\Models\EngagementKind;
use App\Models\Party;
use Illuminate\Testing\TestResponse;

/** Begins cases and projects of the kinds that a new office has. */
trait BeginsEngagements
{
    protected function kind(string $name): EngagementKind
    {
        return EngagementKind::query()->with('stages', 'roles')->where('name', $name)->firstOrFail();
    }

    protected function stageId(string $kind, string $name): int
    {
        return $this->kind($kind)->stages->firstOrFail('name', $name)->id;
    }

    protected function roleId(string $kind, string $name): int
    {
        return $this->kind($kind)->roles->firstOrFail('name', $name)->id;
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    protected function inRole(Party $party, int $roleId, array $more = []): array
    {
        return $more + [
            'id' => null, 'partyId' => $party->id, 'roleId' => $roleId, 'viaId' => null, 'contactId' => null,
            'since' => '', 'until' => '', 'share' => '', 'isMailed' => false, 'note' => '',
        ];
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    protected function headed(string $title, array $more = []): array
    {
        return $more + [
            'title' => $title, 'ownerId' => null, 'currency' => 'USD', 'agreed' => '', 'value' => '', 'chance' => '',
            'decidedOn' => '', 'isPrivate' => false, 'readerIds' => [],
        ];
    }

    /** @param  array<string, mixed>  $more */
    protected function begin(string $kind, string $stage, string $title, array $more = []): Engagement
    {
        $id = $this->postJson('/api/engagements', $more + $this->headed($title) + [
            'kindId' => $this->kind($kind)->id, 'stageId' => $this->stageId($kind, $stage), 'begunOn' => '', 'parties' => [],
        ])->assertCreated()->json('row.id');

        return Engagement::query()->whereKey($id)->firstOrFail();
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    protected function move(Engagement $engagement, string $to, array $more = []): TestResponse
    {
        $engagement->refresh()->load('kind');

        return $this->postJson("/api/engagements/{$engagement->id}/moves", $more + [
            'fromId' => $engagement->stage_id, 'stageId' => $this->stageId($engagement->kind->name, $to), 'on' => '',
            'reason' => '', 'isSure' => false,
        ]);
    }
}
