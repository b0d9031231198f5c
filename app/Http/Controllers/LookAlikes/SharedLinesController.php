<?php

declare(strict_types=1);

namespace App\Http\Controllers\LookAlikes;

use App\Actions\LookAlikes\KeepSharedLines;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\LookAlikes\SharedLineRequest;
use App\Models\SharedLine;
use App\Models\User;
use App\Queries\LookAlikes\ReadSharedLines;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

final readonly class SharedLinesController
{
    public function __construct(private KeepSharedLines $keep, private ReadSharedLines $read)
    {
    }

    #[Reads('shared-lines', 'listSharedLines', 'Phones and emails that different people share', '[SharedLine]', 'Look-alikes')]
    public function index(): JsonResponse
    {
        return new JsonResponse($this->read->all());
    }

    #[Adds(
        'shared-lines', 'nameSharedLine', 'Give one a name: it is no reason any more to take two for one', 'SharedLineInput',
        'SharedLine', 'Look-alikes',
    )]
    public function add(SharedLineRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $line = $this->keep->name($request->kind(), $request->string('value')->value(), $request->string('name')->value(), $user);

        return new JsonResponse($this->read->one($line), 201);
    }

    #[Puts('shared-lines/{line}', 'renameSharedLine', 'Call it otherwise', 'SharedLineInput', 'SharedLine', 'Look-alikes')]
    public function rename(SharedLineRequest $request, SharedLine $line): JsonResponse
    {
        $this->keep->rename($line, $request->string('name')->value());

        return new JsonResponse($this->read->one($line));
    }

    #[Removes('shared-lines/{line}', 'forgetSharedLine', 'Ask about it again', '', '', 'Look-alikes', 204)]
    public function forget(SharedLine $line): Response
    {
        $this->keep->forget($line);

        return new Response(status: 204);
    }
}
