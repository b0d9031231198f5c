<?php

declare(strict_types=1);

namespace App\Actions\Notes;

use Almanac\Cautions\Caution as Value;
use Almanac\Cautions\CautionLevel;
use Almanac\Cautions\CautionUse;
use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\Period;
use Almanac\Records\SectionName;
use App\Actions\Finding\IndexParties;
use App\Actions\Records\LogChanges;
use App\Models\Caution;
use App\Models\Party;
use App\Models\User;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Puts a caution on a record, and lifts it again. */
final readonly class SetCaution
{
    public function __construct(private TypedDates $dates, private LogChanges $log, private IndexParties $index)
    {
    }

    /**
     * @param array{level: string, use: string, text: string, since: string, until: string} $input
     *
     * @throws ValidationException when nothing was written, or a date cannot be
     */
    public function set(Party $party, array $input, User $by): void
    {
        $party->assertInUse();
        $problems = new FieldProblems;
        $period = $this->dates->read($input['since'], $input['until'], '', $problems) ?? Period::of(null, null);
        $caution = $problems->at('text', fn () => Value::of(
            CautionLevel::from($input['level']),
            CautionUse::from($input['use']),
            $input['text'],
            $period,
        ));
        $problems->throwIfAny();
        if ($caution === null) {
            return;
        }

        DB::transaction(function () use ($party, $caution, $by): void {
            Caution::query()->create([
                'subject_id' => $party->id,
                'level' => $caution->level,
                'use' => $caution->use,
                'text' => $caution->text,
                'since' => $caution->period->since,
                'until' => $caution->period->until,
                'user_id' => $by->id,
            ]);
            $this->log($party, '', $caution->toText(), $by);
            $this->index->alone($party);
        });
    }

    /** @throws AuthorizationException when a stop is to be lifted by neither its author nor an administrator */
    public function lift(Party $party, Caution $caution, User $by): void
    {
        if (! $caution->mayBeLiftedBy($by)) {
            throw new AuthorizationException('Only its author or an administrator lifts a stop.');
        }
        DB::transaction(function () use ($party, $caution, $by): void {
            $this->log($party, $caution->value()->toText(), '', $by);
            $caution->delete();
            $this->index->alone($party);
        });
    }

    private function log(Party $party, string $from, string $to, User $by): void
    {
        $this->log->handle($party, SectionName::Cautions, Difference::between(
            $from === '' ? [] : ['caution' => new LoggedFact('Caution', $from)],
            $to === '' ? [] : ['caution' => new LoggedFact('Caution', $to)],
        ), $by);
    }
}
