<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Facts\Details\Sheets;
use App\Models\Change;
use App\Models\DetailField;
use App\Models\Engagement;
use App\Models\Party;
use App\Models\SubjectModel;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Tells a private value to somebody who may see it, and writes into the log that they did. */
final readonly class RevealPrivate
{
    public function __construct(private LogChanges $log)
    {
    }

    /** @return string empty when none is kept */
    public function birthDate(Party $party, User $by): string
    {
        return $this->log($party, SectionName::Identity, 'Birth date', $party->birthDay()?->toText() ?? '', $by);
    }

    /** @return string empty when none is kept */
    public function detail(Party $party, int $fieldId, User $by): string
    {
        $field = DetailField::query()->find($fieldId);
        $party->load('listItems', 'detailValues');

        return $field === null ? '' : $this->log($party, SectionName::Details, $field->name, Sheets::of($party)->text($field), $by);
    }

    /** @return string empty when none is kept */
    public function detailOf(Engagement $engagement, int $fieldId, User $by): string
    {
        $field = DetailField::query()->find($fieldId);

        return $field === null
            ? ''
            : $this->log(
                $engagement, SectionName::Details, $field->name,
                Sheets::ofEngagement($engagement->load('detailValues'))->text($field), $by,
            );
    }

    /** @return string empty when it is not kept */
    public function taxNumber(Party $party, int $id, User $by): string
    {
        $number = $party->taxNumbers()->find($id);

        return $number === null
            ? ''
            : $this->log($party, SectionName::TaxNumbers, $number->kind->title(), $number->number()->display(), $by);
    }

    private function log(SubjectModel $subject, SectionName $section, string $label, string $text, User $by): string
    {
        if ($text !== '') {
            DB::transaction(fn () => $this->log->handle($subject, $section, Difference::between([], [
                Change::SEEN => new LoggedFact($label, 'shown, though private'),
            ]), $by));
        }

        return $text;
    }
}
