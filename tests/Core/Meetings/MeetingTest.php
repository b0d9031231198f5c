<?php

declare(strict_types=1);

namespace Tests\Core\Meetings;

use Almanac\Calendar\Day;
use Almanac\Calendar\TimeOfDay;
use Almanac\Meetings\Meeting;
use Almanac\Meetings\MeetingRefused;
use Almanac\Meetings\MeetingState;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MeetingTest extends TestCase
{
    /** @return iterable<string, array{string, int, string, string}> */
    public static function told(): iterable
    {
        yield 'an afternoon' => ['14:00', 90, 'Tower stair', 'Tue 3 Mar 2026, 14:00 to 15:30, Tower stair'];
        yield 'without a place' => ['9', 5, '', 'Tue 3 Mar 2026, 09:00 to 09:05'];
        yield 'over midnight' => ['23:30', 60, '', 'Tue 3 Mar 2026, 23:30 to 00:30 of the next day'];
        yield 'until midnight' => ['23:30', 30, '', 'Tue 3 Mar 2026, 23:30 to 00:00 of the next day'];
    }

    #[DataProvider('told')]
    public function test_it_is_told(string $time, int $minutes, string $place, string $text): void
    {
        $this->assertSame($text, $this->meeting($time, $minutes, $place)->toText());
    }

    public function test_a_change_of_time_or_place_moves_it(): void
    {
        $meeting = $this->meeting('14:00', 60, 'here');
        $this->assertFalse($meeting->isMovedFrom($this->meeting('2pm', 60, 'here')));
        foreach ([['14:15', 60, 'here'], ['14:00', 45, 'here'], ['14:00', 60, 'there']] as [$time, $minutes, $place]) {
            $this->assertTrue($meeting->isMovedFrom($this->meeting($time, $minutes, $place)));
        }
        $this->assertTrue($meeting->isMovedFrom(Meeting::of(Day::fromIso('2026-03-04'), TimeOfDay::read('14:00'), 60, 'here')));
    }

    public function test_what_is_over_is_not_moved_and_what_was_called_off_has_no_outcome(): void
    {
        MeetingState::Planned->mustBePlanned();
        MeetingState::Held->mustNotBeCancelled();
        foreach ([fn () => MeetingState::Held->mustBePlanned(), fn () => MeetingState::Cancelled->mustBePlanned(), fn () => MeetingState::Cancelled->mustNotBeCancelled(), fn () => $this->meeting('9', 4, ''), fn () => $this->meeting('9', 1441, '')] as $refused) {
            try {
                $refused();
                $this->fail('It should be refused.');
            } catch (MeetingRefused $refusal) {
                $this->assertStringEndsWith('.', $refusal->getMessage());
            }
        }
    }

    private function meeting(string $time, int $minutes, string $place): Meeting
    {
        return Meeting::of(Day::fromIso('2026-03-03'), TimeOfDay::read($time), $minutes, $place);
    }
}
