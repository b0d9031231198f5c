<?php

declare(strict_types=1);

namespace Tests\Attack;

use App\Actions\Office\RequeueWaiting;
use App\Background\WorkOnBulkChange;
use App\Models\Party;
use App\Outside\NoTransaction;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Work that was accepted is never lost between its cause and its queue, and what fails is kept. */
final class KeptWorkTest extends TestCase
{
    use OfficeInAFile;

    protected function refreshApplication(): void
    {
        parent::refreshApplication();
        config(['queue.default' => 'database']);
    }

    public function test_a_task_is_queued_in_the_transaction_of_its_cause(): void
    {
        $this->addCompany('Brass');
        // What another process sees of the queue at the moment at which the change is there.
        DB::beginTransaction();
        $this->asAdministrator()->postJson('/api/bulk-changes', $this->change())->assertSuccessful();
        $other = new \PDO("sqlite:$this->database");
        $seen = fn (string $sql): int => (int) ($other->query($sql) ?: throw new \LogicException)->fetchColumn();
        $this->assertSame([0, 0], [$seen('SELECT count(*) FROM bulk_changes'), $seen('SELECT count(*) FROM queued_work')]);
        DB::commit();
        $this->assertSame([1, 1], [$seen('SELECT count(*) FROM bulk_changes'), $seen('SELECT count(*) FROM queued_work')]);
    }

    public function test_a_worker_that_starts_queues_what_waits_without_a_task(): void
    {
        $this->addCompany('Brass');
        $this->asAdministrator()->postJson('/api/bulk-changes', $this->change())->assertSuccessful();
        $requeue = $this->app->make(RequeueWaiting::class);
        $this->assertSame(0, $requeue->handle(), 'its task is there');
        DB::table('queued_work')->delete();
        $this->assertSame(1, $requeue->handle());
        $this->assertStringContainsString(class_basename(WorkOnBulkChange::class), (string) DB::table('queued_work')->value('payload'));
        $this->assertSame(0, $requeue->handle());
        Artisan::call('queue:work', ['--once' => true, '--queue' => 'short,default']);
        $this->assertSame('done', DB::table('bulk_changes')->value('state'));
        $this->assertSame(0, $requeue->handle());
    }

    public function test_a_task_that_failed_for_good_is_shown_and_run_again_by_hand(): void
    {
        $this->addCompany('Brass');
        $this->asAdministrator()->postJson('/api/bulk-changes', $this->change())->assertSuccessful();
        $input = DB::table('bulk_changes')->value('input');
        DB::table('bulk_changes')->update(['input' => '{']);
        DB::table('queued_work')->update(['attempts' => 20]);
        Artisan::call('queue:work', ['--once' => true, '--queue' => 'short,default']);
        $task = $this->getJson('/api/office/failed-tasks')->assertOk()->assertJsonCount(1)->json('0');
        $this->assertSame('Bulk edit', $task['title']);
        $this->assertSame(0, $this->app->make(RequeueWaiting::class)->handle(), 'it waits for somebody');

        DB::table('bulk_changes')->update(['input' => $input, 'state' => 'waiting']);
        $this->postJson("/api/office/failed-tasks/{$task['id']}/retry")->assertOk()->assertJsonCount(0);
        $this->postJson("/api/office/failed-tasks/{$task['id']}/retry")->assertNotFound();
        Artisan::call('queue:work', ['--once' => true, '--queue' => 'short,default']);
        $this->assertSame('done', DB::table('bulk_changes')->value('state'));
    }

    public function test_the_network_is_not_asked_within_a_transaction(): void
    {
        NoTransaction::assert();
        $this->expectException(\LogicException::class);
        DB::transaction(fn () => NoTransaction::assert());
    }

    /** @return array<string, mixed> */
    private function change(): array
    {
        return [
            'chosen' => ['isAll' => false, 'filter' => '', 'withArchived' => true, 'ids' => Party::query()->pluck('id')->all()],
            'change' => ['kind' => 'add-tags', 'values' => ['spring']],
        ];
    }
}
