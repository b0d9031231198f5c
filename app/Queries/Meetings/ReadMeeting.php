<?php

declare(strict_types=1);

namespace App\Queries\Meetings;

use App\Http\Data\Meetings\MeetingData;
use App\Models\Meeting;
use App\Time\Clock;

final readonly class ReadMeeting
{
    public function __construct(private Clock $clock)
    {
    }

    public function handle(Meeting $meeting): MeetingData
    {
        return MeetingData::of($meeting->refresh()->load(
            'parties.contactPoints',
            'users',
            'party',
            'engagement',
            'user',
            'document.madeFromIt',
        ), $this->clock->today());
    }
}
