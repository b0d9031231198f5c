<?php

declare(strict_types=1);

namespace App\Queries\Mailing;

use Almanac\Mailing\LetterOutcome;
use Almanac\Mailing\LetterWay;
use Almanac\Mailing\Mailing;
use Almanac\Mailing\MailingRefused;
use App\Database\Ids;
use App\Facts\Lists\Chosen;
use App\Facts\Lists\PartyList;
use App\Facts\Mailing\Addressees;
use App\Facts\Mailing\LetterFields;
use App\Facts\Mailing\LetterWriter;
use App\Facts\Mailing\WrittenLetter;
use App\Http\Data\Mailing\LetterFieldData;
use App\Http\Data\Mailing\LetterOfRunData;
use App\Http\Data\Mailing\LetterRunData;
use App\Http\Data\Mailing\LetterRunPageData;
use App\Http\Data\Mailing\LetterTemplateData;
use App\Models\Letter;
use App\Models\LetterRun;
use App\Models\LetterTemplate;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** Reads the templates of letters, whom a letter would go to and how it would read, and the letters to many. */
final readonly class ReadLetters
{
    private const LATEST = 30;

    public function __construct(private Addressees $addressees, private Clock $clock)
    {
    }

    /** @return list<LetterTemplateData> by name */
    public function templates(): array
    {
        return array_values(
            LetterTemplate::query()->with('user')->orderByRaw('fold(name)')->get()->map(LetterTemplateData::of(...))->all(),
        );
    }

    /** @return list<LetterFieldData> */
    public function fields(bool $hasEngagement): array
    {
        $fields = LetterFields::all($hasEngagement);

        return array_map(fn (string $name, string $title) => new LetterFieldData($name, $title), array_keys($fields), $fields);
    }

    /** @throws MailingRefused when nobody is chosen, or more than a thousand are */
    public function to(Chosen $chosen, LetterWay $way, bool $onceAHousehold, User $reader): Mailing
    {
        $list = new PartyList($this->clock, $chosen->wanted(), $reader);
        $ids = Ids::of(
            $list->chosen($chosen)->orderBy('v.collated')->orderBy('v.party_id')->limit(Mailing::MOST_LETTERS + 1)->pluck('v.party_id'),
        );
        Mailing::mustBeWritable(count($ids));

        return Mailing::to($this->addressees->of($ids, $way), $onceAHousehold);
    }

    /**
     * How the first letter to those that are chosen reads.
     *
     * @throws MailingRefused when none of them gets one
     */
    public function written(Chosen $chosen, LetterWay $way, bool $onceAHousehold, LetterWriter $writer, User $reader): WrittenLetter
    {
        $envelope = $this->to($chosen, $way, $onceAHousehold, $reader)->envelopes[0] ?? throw MailingRefused::allLeftOut();

        return $writer->write($envelope, Party::query()->findOrFail($envelope->to[0]->id));
    }

    /** @return list<LetterRunData> the latest first */
    public function latest(User $reader): array
    {
        $runs = LetterRun::query()
            ->with('user')->when(! $reader->isAdministrator(), fn (Builder $all) => $all->where('user_id', $reader->id))
            ->orderByDesc('id')->limit(self::LATEST)->get()->filter(fn (LetterRun $run) => $run->isReadableBy($reader));
        $counts = $this->counts(...$runs->modelKeys());
        $examples = $this->examples(...$runs->modelKeys());

        return array_values($runs->map(
            fn (LetterRun $run) => LetterRunData::of($run, $counts[$run->id] ?? [], $examples[$run->id] ?? ''),
        )->all());
    }

    public function one(LetterRun $run): LetterRunPageData
    {
        $run->refresh()->load('user');

        return new LetterRunPageData(
            LetterRunData::of($run, $this->counts($run->id)[$run->id] ?? [], $this->examples($run->id)[$run->id] ?? ''),
            array_values($run->letters()->reorder()->orderByRaw('outcome = ? desc', [LetterOutcome::LeftOut->value])->orderBy('rank')->get()
                ->map(fn (Letter $letter) => LetterOfRunData::of($letter, $run->way))->all()),
        );
    }

    /** @return array<int, string> the subject of one letter, by run */
    private function examples(int ...$ids): array
    {
        return DB::table('letters')->whereIn('letter_run_id', $ids)->whereNotNull('content')->groupBy('letter_run_id')
            ->selectRaw("letter_run_id as run, min(json_extract(content, '$.subject')) as subject")->pluck('subject', 'run')
            ->map(fn (mixed $subject) => is_string($subject) ? $subject : '')->all();
    }

    /** @return array<int, array<string, int>> how many have each outcome, and how many letters there are, by run */
    private function counts(int ...$ids): array
    {
        $counts = [];
        $rows = DB::table('letters')->whereIn('letter_run_id', $ids)->groupBy('letter_run_id', 'outcome')
            ->selectRaw('letter_run_id as run, outcome, count(*) as many, count(content) as letters')->get();
        foreach ($rows as $row) {
            $counts[(int) $row->run][(string) $row->outcome] = (int) $row->many;
            $counts[(int) $row->run]['letters'] = ($counts[(int) $row->run]['letters'] ?? 0) + (int) $row->letters;
        }

        return $counts;
    }
}
