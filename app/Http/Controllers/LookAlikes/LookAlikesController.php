<?php

declare(strict_types=1);

namespace App\Http\Controllers\LookAlikes;

use Almanac\Access\Permission;
use Almanac\LookAlikes\Reason;
use App\Actions\LookAlikes\CompareNumbers;
use App\Actions\LookAlikes\ScanBook;
use App\Actions\LookAlikes\SettlePairs;
use App\Http\Data\LookAlikes\LookAlikeScanData;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Reads;
use App\Http\Requests\LookAlikes\LookAlikesRequest;
use App\Http\Requests\LookAlikes\SettleRequest;
use App\Models\LookAlikeScan;
use App\Models\Party;
use App\Models\User;
use App\Queries\LookAlikes\FindLookAlikes;
use App\Queries\LookAlikes\ReadLookAlikes;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final readonly class LookAlikesController
{
    public function __construct(private ReadLookAlikes $read, private SettlePairs $settle, private ScanBook $scan)
    {
    }

    #[
        OA\Post(
            path: '/api/look-alikes',
            operationId: 'findLookAlikes',
            summary: 'Kept records that may be the same as what is being entered',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/LookAlikesInput')),
            tags: ['Look-alikes'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'The likeliest first',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/LookAlike')),
                ),
            ],
        ),
    ]
    public function find(LookAlikesRequest $request, FindLookAlikes $find, CompareNumbers $compare, #[CurrentUser] User $user): JsonResponse
    {
        if ($request->asksForNumbers()) {
            $compare->note($user);
        }

        return new JsonResponse($find->handle(
            $request->likeness(),
            $request->input('exceptId') === null ? null : $request->integer('exceptId'),
            self::seesPrivate($user),
        ));
    }

    #[Reads(
        'look-alikes', 'listLookAlikes', 'What is to settle: the surest first', 'LookAlikePage', 'Look-alikes',
        ['page' => 'integer', 'reason' => 'string'],
    )]
    public function index(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->read->page(
            min(1_000_000, $request->integer('page', 1)),
            Reason::tryFrom($request->string('reason')->value()),
            self::seesPrivate($user),
        ));
    }

    #[Reads(
        'look-alikes/decided', 'listDecided', 'What was decided: the latest first', 'DecidedPage', 'Look-alikes',
        ['page' => 'integer'],
    )]
    public function decided(Request $request): JsonResponse
    {
        return new JsonResponse($this->read->decided(min(1_000_000, $request->integer('page', 1))));
    }

    #[Reads('look-alikes/{group}', 'readLookAlikes', 'Records that look alike, side by side', 'LookAlikeGroup', 'Look-alikes')]
    public function show(int $group, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->read->group($group, self::seesPrivate($user)) ?? abort(404));
    }

    #[Reads('parties/{id}/look-alikes', 'readLookAlikesOfRecord', 'Whom a record may be the same as', '[LookAlikeGroupRow]', 'Look-alikes')]
    public function ofRecord(Party $party, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->read->ofRecord($party, self::seesPrivate($user)));
    }

    #[Adds('look-alikes/different', 'settleAsDifferent', 'They are different records', 'SettleInput', '', 'Look-alikes', 204)]
    public function different(SettleRequest $request, #[CurrentUser] User $user): Response
    {
        $this->settle->different($request->pairIds(), $request->string('why')->value(), $user);

        return new Response(status: 204);
    }

    #[Adds('look-alikes/later', 'settleLater', 'Put them off: they stand last', 'SettleInput', '', 'Look-alikes', 204)]
    public function later(SettleRequest $request): Response
    {
        $this->settle->later($request->pairIds());

        return new Response(status: 204);
    }

    #[Adds(
        'look-alikes/open-again', 'openAgain', 'What was decided or put off is to be settled again', 'SettleInput', '',
        'Look-alikes', 204,
    )]
    public function openAgain(SettleRequest $request): Response
    {
        $this->settle->openAgain($request->pairIds());

        return new Response(status: 204);
    }

    #[Reads('look-alikes/scan', 'readScan', 'The last time that the book was gone through, or is', '[LookAlikeScan]', 'Look-alikes')]
    public function lastScan(): JsonResponse
    {
        return new JsonResponse($this->read->lastScan());
    }

    #[Adds('look-alikes/scan', 'scanLookAlikes', 'Go through the whole book, behind the screen', '', 'LookAlikeScan', 'Look-alikes')]
    public function scan(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(LookAlikeScanData::of($this->scan->begin($user)->refresh()), 201);
    }

    #[Adds('look-alikes/scan/{scan}/stop', 'stopScan', 'Stop it; what it has found stays', '', 'LookAlikeScan', 'Look-alikes', 200)]
    public function stop(LookAlikeScan $scan): JsonResponse
    {
        $this->scan->stop($scan);

        return new JsonResponse(LookAlikeScanData::of($scan->refresh()));
    }

    private static function seesPrivate(User $user): bool
    {
        return $user->can(Permission::SeePrivate->value);
    }
}
