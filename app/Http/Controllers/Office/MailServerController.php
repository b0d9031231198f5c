<?php

declare(strict_types=1);

namespace App\Http\Controllers\Office;

use App\Actions\Mailing\KeepMailServer;
use App\Http\Data\Office\MailServerData;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Office\MailServerRequest;
use App\Http\Requests\VersionRequest;
use App\Models\MailServer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The mail server that the office sends by. */
final readonly class MailServerController
{
    public function __construct(private KeepMailServer $keep)
    {
    }

    #[Reads('office/mail-server', 'readMailServer', 'The mail server that the office sends by', 'MailServer', 'Office')]
    public function show(): JsonResponse
    {
        return new JsonResponse(MailServerData::of(MailServer::current()));
    }

    #[Puts('office/mail-server', 'saveMailServer', 'Send by a mail server', 'MailServerInput', 'MailServer', 'Office')]
    public function save(MailServerRequest $request): JsonResponse
    {
        return new JsonResponse(MailServerData::of($this->keep->save($request->mailServer(), $request->version())));
    }

    #[Removes('office/mail-server', 'forgetMailServer', 'Keep what is sent here only', 'VersionInput', 'MailServer', 'Office')]
    public function forget(VersionRequest $request): JsonResponse
    {
        $this->keep->forget($request->version());

        return new JsonResponse(MailServerData::of(null));
    }

    #[Adds('office/mail-server/try', 'tryMailServer', 'Send a message to oneself by it', '', '', 'Office', 204)]
    public function try(): Response
    {
        // It was sent before the act began; what failed did not get here.
        return new Response('', 204);
    }
}
