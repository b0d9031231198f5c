<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mailing;

use App\Actions\Mailing\SendAgain;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Mailing\OutboxQuery;
use App\Models\Message;
use App\Models\User;
use App\Queries\Mailing\ReadOutbox;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** What was sent by email. */
final readonly class OutboxController
{
    public function __construct(private ReadOutbox $read)
    {
    }

    #[Reads('messages', 'readOutbox', 'What was sent by email, the newest first', 'Outbox', 'Mailing', OutboxQuery::class)]
    public function index(OutboxQuery $query): JsonResponse
    {
        return new JsonResponse($this->read->handle($query->string('q')->value(), $query->integer('page', 1)));
    }

    #[Adds('messages/{message}/again', 'sendAgain', 'Send a message once more, as it was', '', 'Outbox', 'Mailing')]
    public function again(Message $message, SendAgain $send, #[CurrentUser] User $user): JsonResponse
    {
        $send->handle($message, $user);

        return new JsonResponse($this->read->handle('', 1), 201);
    }
}
