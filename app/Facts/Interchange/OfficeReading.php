<?php

declare(strict_types=1);

namespace App\Facts\Interchange;

use Almanac\Calendar\TypedDay;
use Almanac\Details\FieldKind;
use Almanac\Details\FieldReader;
use Almanac\Interchange\DocumentReader;
use Almanac\Interchange\ReadingOffice;
use Almanac\Records\OfficeList;
use App\Models\DetailField;
use App\Models\ImportSettings;
use App\Models\ListedTerms;
use App\Models\ListItem;
use App\Models\Office;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Collection;

/** What the core has to know of the office to read a file of people and companies. */
final readonly class OfficeReading
{
    public function __construct(private Clock $clock)
    {
    }

    public function of(ImportSettings $settings): ReadingOffice
    {
        $office = Office::current();
        $today = $this->clock->today();
        $days = TypedDay::reader($today, $settings->isMonthFirst);

        return new ReadingOffice(
            $today,
            $days,
            $settings->sign,
            $office->country,
            $office->currency(),
            FieldReader::of($days, $office->currency(), $settings->sign),
            array_values(ListItem::in(OfficeList::Types)->pluck('name')->map(strval(...))->all()),
            $settings->takesNewWords,
            array_values(User::query()->whereNull('retired_at')->orderBy('id')->pluck('name')->map(strval(...))->all()),
            self::terms(),
            self::fields()->mapWithKeys(fn (DetailField $field): array => ["detail:$field->id" => [$field->kind, $field->options]])->all(),
            $settings->kind,
            $settings->roles,
        );
    }

    /** The same for a file of documents. */
    public function documents(ImportSettings $settings): DocumentReader
    {
        return DocumentReader::of(
            $settings->targets, TypedDay::reader($this->clock->today(), $settings->isMonthFirst), Office::current()->currency(), $settings->sign,
        );
    }

    /** @return array<string, string> names of the office's own fields, by what their columns are */
    public static function fieldNames(): array
    {
        return self::fields()->mapWithKeys(fn (DetailField $field): array => ["detail:$field->id" => $field->name])->all();
    }

    /** @return array<string, string> shorthand by name */
    public static function terms(): array
    {
        /** @var array<string, string> */
        return ListedTerms::query()->where('is_retired', false)->orderBy('id')->pluck('shorthand', 'name')->all();
    }

    /** @return list<string> what phones and emails are labelled with in the office */
    public static function labels(): array
    {
        return array_values(ListItem::query()->whereIn('list', [OfficeList::PhoneLabels, OfficeList::EmailLabels])->where('is_retired', false)
            ->orderBy('name')->pluck('name')->map(strval(...))->unique()->all());
    }

    /** @return Collection<int, DetailField> of records, that are in use */
    private static function fields(): Collection
    {
        return DetailField::query()->where('is_retired', false)->whereIn('kind', FieldKind::cases())
            ->whereIn('sheet_id', fn ($sheets) => $sheets->select('id')->from('detail_sheets')->whereNull('engagement_kind_id'))
            ->orderBy('id')->get();
    }
}
