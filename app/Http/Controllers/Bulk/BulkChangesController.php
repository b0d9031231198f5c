<?php

declare(strict_types=1);

namespace App\Http\Controllers\Bulk;

use App\Actions\Bulk\BeginBulkChange;
use App\Actions\Bulk\TryBulkChange;
use App\Http\Data\Bulk\BulkExampleData;
use App\Http\Data\Bulk\BulkPreviewData;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Bulk\BulkRequest;
use App\Models\BulkChange;
use App\Models\User;
use App\Queries\Bulk\ReadBulkChanges;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** One change to many records: tried, begun, stopped, gone on with, taken back. */
final readonly class BulkChangesController
{
    public function __construct(private BeginBulkChange $begin, private ReadBulkChanges $read)
    {
    }

    #[Adds(
        'bulk-changes/preview', 'tryBulkChange', 'What a bulk change would do; nothing is changed', 'BulkInput',
        'BulkPreview', 'Bulk', 200,
    )]
    public function preview(BulkRequest $request, TryBulkChange $try, #[CurrentUser] User $user): JsonResponse
    {
        $tried = $try->handle($request->chosen(), $request->change(), $user);

        return new JsonResponse(new BulkPreviewData(
            $tried->title,
            $tried->total,
            $tried->same,
            $tried->refused,
            $tried->refused === 0 ? '' : $tried->why,
            array_map(fn (array $one) => new BulkExampleData(...$one), $tried->examples),
        ));
    }

    #[Adds('bulk-changes', 'beginBulkChange', 'Begin a bulk change; it is done behind the screen', 'BulkInput', 'BulkChange', 'Bulk')]
    public function add(BulkRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $change = $this->begin->begin($request->chosen(), $request->change(), $user);

        return new JsonResponse($this->read->one($change, $user), 201);
    }

    #[Reads('bulk-changes', 'readBulkChanges', 'The bulk changes, the latest first', '[BulkChange]', 'Bulk')]
    public function index(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->read->latest($user));
    }

    #[Reads('bulk-changes/{bulkChange}/records', 'readBulkRecords', 'What came of a bulk change for each record', '[BulkRecord]', 'Bulk')]
    public function records(BulkChange $bulkChange): JsonResponse
    {
        return new JsonResponse($this->read->records($bulkChange));
    }

    #[Adds('bulk-changes/{bulkChange}/stop', 'stopBulkChange', 'Stop it; what is done stays done', '', 'BulkChange', 'Bulk', 200)]
    public function stop(BulkChange $bulkChange, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($bulkChange, $user);
        $this->begin->stop($bulkChange);

        return new JsonResponse($this->read->one($bulkChange, $user));
    }

    #[Adds('bulk-changes/{bulkChange}/go-on', 'goOnWithBulkChange', 'Go on with what is left of it', '', 'BulkChange', 'Bulk', 200)]
    public function goOn(BulkChange $bulkChange, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($bulkChange, $user);
        $this->begin->goOn($bulkChange);

        return new JsonResponse($this->read->one($bulkChange, $user));
    }

    #[Adds(
        'bulk-changes/{bulkChange}/take-back', 'takeBackBulkChange',
        'Take it back; what was changed since keeps the later change', '', 'BulkChange', 'Bulk', 200,
    )]
    public function takeBack(BulkChange $bulkChange, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($bulkChange, $user);
        $this->begin->takeBack($bulkChange);

        return new JsonResponse($this->read->one($bulkChange, $user));
    }

    private function mustBeTheirs(BulkChange $change, User $user): void
    {
        abort_unless($user->maySteer($change), 403, 'Only who began it, or an administrator, may do that.');
    }
}
