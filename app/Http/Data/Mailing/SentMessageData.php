<?php

declare(strict_types=1);

namespace App\Http\Data\Mailing;

use Almanac\Mailing\MessageState;
use App\Http\Data\Records\PartyLinkData;
use App\Models\Message;
use App\Time\Clock;
use OpenApi\Attributes as OA;

/** A message that was sent. Load its party and its user. */
#[OA\Schema(schema: 'SentMessage')]
final readonly class SentMessageData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'The day and the time, for reading.')]
        public string $at,
        #[OA\Property]
        public string $to,
        #[OA\Property]
        public string $subject,
        #[OA\Property(ref: '#/components/schemas/PartyLink')]
        public PartyLinkData $party,
        #[OA\Property(description: 'The document that was in it.', nullable: true)]
        public ?int $documentId,
        #[OA\Property]
        public string $by,
        #[OA\Property(enum: MessageState::class)]
        public string $state,
        #[OA\Property(description: 'The state in words, with why it was not sent.')]
        public string $stateText,
    ) {
    }

    public static function of(Message $message): self
    {
        return new self(
            $message->id,
            Clock::dayOf($message->at)->toText().', '.$message->at->setTimezone(Clock::zone())->format('H:i'),
            $message->to,
            $message->subject,
            PartyLinkData::of($message->party),
            $message->document_id,
            $message->user->name,
            $message->state->value,
            $message->state->title().($message->failure === '' ? '' : ": $message->failure"),
        );
    }
}
