<?php

declare(strict_types=1);

namespace App\Http\Requests\Meetings;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** A meeting, and the version of it that whoever saves has seen; 0 for a new one. */
final class MeetingRequest extends ShapedRequest
{
    private const MOST_PEOPLE = 50;

    public static function shape(): Shape
    {
        return Shape::named('MeetingInput', [
            'title' => Input::text(),
            'day' => Input::text(100)->says('As people type it.'),
            'time' => Input::text(100)->says('As people type it, by the office’s clock.'),
            'minutes' => Input::whole(0, 100_000)->says('How long it lasts.'),
            'place' => Input::text(),
            'agenda' => Input::text(10_000),
            'partyIds' => Input::listOf(Input::id(), self::MOST_PEOPLE)->says('Who comes.'),
            'userIds' => Input::listOf(Input::id(), self::MOST_PEOPLE)->says('Colleagues who come.'),
            'documentId' => Input::id()->orNull()->says('The quote, or whatever else, that it is about.'),
            'isInvited' => Input::flag()->says('Whether invitations go out, and word of every change.'),
            'version' => Input::whole(0)->says('That has been seen.'),
        ]);
    }

    public function version(): int
    {
        return $this->integer('version');
    }
}
