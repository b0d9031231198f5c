<?php

declare(strict_types=1);

namespace App\Http\Controllers\Lists;

use Almanac\Lists\ListOf;
use App\Actions\Lists\KeepLook;
use App\Actions\Lists\KeepSavedLists;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Lists\LookRequest;
use App\Http\Requests\Lists\SavedListRequest;
use App\Http\Requests\VersionRequest;
use App\Models\Party;
use App\Models\SavedList;
use App\Models\User;
use App\Queries\Lists\ReadSavedLists;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Lists of records under names, and how somebody looks at them. */
final readonly class SavedListsController
{
    public function __construct(private KeepSavedLists $keep, private ReadSavedLists $read)
    {
    }

    #[Reads('long-lists/{list}/saved', 'readSavedLists', 'The lists under names, each with how many are in it', '[SavedList]', 'Lists')]
    public function index(ListOf $list, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->read->handle($list, $user));
    }

    #[Adds('long-lists/{list}/saved', 'addSavedList', 'Keep a list under a name', 'SavedListInput', '[SavedList]', 'Lists')]
    public function add(SavedListRequest $request, ListOf $list, #[CurrentUser] User $user): JsonResponse
    {
        $this->keep->add($list, $request->list(), $user);

        return new JsonResponse($this->read->handle($list, $user), 201);
    }

    #[Puts('saved-lists/{savedList}', 'changeSavedList', 'Change a list, or its name', 'SavedListInput', '[SavedList]', 'Lists')]
    public function change(SavedListRequest $request, SavedList $savedList, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeReadable($savedList, $user);
        $this->keep->change($savedList, $request->list(), $request->version(), $user);

        return new JsonResponse($this->read->handle($savedList->list, $user));
    }

    #[Removes('saved-lists/{savedList}', 'removeSavedList', 'Remove a list; its records stay', 'VersionInput', '[SavedList]', 'Lists')]
    public function remove(VersionRequest $request, SavedList $savedList, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeReadable($savedList, $user);
        $this->keep->remove($savedList, $request->version(), $user);

        return new JsonResponse($this->read->handle($savedList->list, $user));
    }

    #[Puts('long-lists/{list}/look', 'keepLook', 'Keep which columns somebody has in a list', 'LookInput', '', 'Lists', 204)]
    public function look(LookRequest $request, ListOf $list, KeepLook $keep, #[CurrentUser] User $user): Response
    {
        $keep->columns($list, $request->columns(), $user);

        return new Response('', 204);
    }

    #[Puts('parties/{id}/opened', 'noteOpened', 'Note that somebody has a record open, for what was used lately', '', '', 'Lists', 204)]
    public function opened(Party $party, KeepLook $keep, #[CurrentUser] User $user): Response
    {
        $keep->opened($party, $user);

        return new Response('', 204);
    }

    /** What somebody keeps for themselves is nobody else's. */
    private function mustBeReadable(SavedList $list, User $user): void
    {
        abort_unless(SavedList::readableBy($user)->whereKey($list->id)->exists(), 404);
    }
}
