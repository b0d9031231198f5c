<?php

declare(strict_types=1);

namespace App\Queries\Records;

use App\Facts\Details\Sheets;
use App\Http\Data\Records\DetailsData;
use App\Http\Data\Records\RecordFieldData;
use App\Http\Data\Records\RecordSheetData;
use App\Models\DetailField;
use App\Models\Engagement;
use App\Models\Party;
use App\Validation\FieldReaders;

/** Reads what the firm's own fields hold of a record. */
final readonly class ReadDetails
{
    public function __construct(private FieldReaders $readers)
    {
    }

    public function handle(Party $party, int $version): DetailsData
    {
        return $this->shown(Sheets::of($party->loadMissing('listItems', 'detailValues')), $version);
    }

    public function ofEngagement(Engagement $engagement, int $version): DetailsData
    {
        return $this->shown(Sheets::ofEngagement($engagement->loadMissing('detailValues')), $version);
    }

    private function shown(Sheets $sheets, int $version): DetailsData
    {
        $reader = $this->readers->ofOffice();

        return new DetailsData($version, array_map(
            fn (array $shown) => new RecordSheetData($shown[0]->id, $shown[0]->name, array_map(
                fn (DetailField $field) => RecordFieldData::of($field, $sheets, $reader),
                $shown[1],
            )),
            $sheets->shown(),
        ));
    }
}
