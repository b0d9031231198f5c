<?php

declare(strict_types=1);

namespace Tests\Core\Records;

use Almanac\Calendar\Day;
use Almanac\Records\StreamKind;
use Almanac\Records\StreamPlace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class StreamPlaceTest extends TestCase
{
    public function test_what_stands_after_a_place_is_what_its_bounds_let_through(): void
    {
        mt_srand(61);
        $places = array_map(fn () => $this->place(), range(1, 300));
        foreach (array_slice($places, 0, 20) as $place) {
            foreach ($places as $other) {
                [$day, $id] = $place->after($other->kind);
                $isLet = ! $other->day->isAfter($day) && ($id === null || $other->day->isBefore($day) || $other->id < $id);
                $this->assertSame($place->compare($other) < 0, $isLet, $place->toText().' and '.$other->toText());
            }
        }
    }

    public function test_the_newest_day_stands_first_and_what_is_written_is_read(): void
    {
        mt_srand(62);
        $places = array_map(fn () => $this->place(), range(1, 100));
        usort($places, fn (StreamPlace $a, StreamPlace $b) => $a->compare($b));
        foreach ($places as $at => $place) {
            $this->assertSame($place->toText(), StreamPlace::read($place->toText())?->toText());
            $this->assertTrue($at === 0 || ! $place->day->isAfter($places[$at - 1]->day));
        }
    }

    /** @return iterable<array{string}> */
    public static function others(): iterable
    {
        yield from [[''], ['2026-03-03'], ['2026-13-03.4.1'], ['2026-03-03.9.1'], ['2026-03-03.4.-1'], ["2026-03-03.4.1\n"],
            ['2026-03-03.4.9999999999999999999'], ['x'], ['2026-02-30.1.1']];
    }

    #[DataProvider('others')]
    public function test_anything_else_is_no_place(string $written): void
    {
        $this->assertNull(StreamPlace::read($written));
    }

    private function place(): StreamPlace
    {
        return StreamPlace::of(Day::of(2026, 3, mt_rand(1, 6)), StreamKind::from(mt_rand(1, 6)), mt_rand(1, 40));
    }
}
