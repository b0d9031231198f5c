<?php

declare(strict_types=1);

namespace App\Http\Controllers\Interchange;

use Almanac\Interchange\ListFormat;
use App\Facts\Interchange\WholeRecords;
use App\Http\FileAnswer;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Interchange\ExportQuery;
use App\Models\Party;
use App\Models\User;
use App\Queries\Interchange\WriteList;
use Illuminate\Container\Attributes\CurrentUser;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Records as files for spreadsheets, phones and mail programs. */
final readonly class ExportController
{
    public function __construct(private WriteList $write, private WholeRecords $whole)
    {
    }

    #[Reads('parties/export', 'exportRecords', 'The records of a list as a file', '', 'Interchange', ExportQuery::class)]
    public function list(ExportQuery $query, #[CurrentUser] User $user): StreamedResponse
    {
        $format = $query->listFormat(ListFormat::Csv);
        $rows = $format === ListFormat::Json || ($format->isTable() && $query->boolean('whole'))
            ? $this->whole->handle($query->listed(), $format, $query->withPrivate(), $user)
            : $this->write->handle($query->listed(), $format, $user);

        return FileAnswer::stream($rows, 'Records.'.$format->ending(), $format->mediaType());
    }

    #[Reads('parties/{id}/card', 'exportRecord', 'A record as phones and mail programs keep it', '', 'Interchange', ExportQuery::class)]
    public function card(ExportQuery $query, Party $party): StreamedResponse
    {
        $format = $query->listFormat(ListFormat::VCard4);

        return FileAnswer::stream($this->write->card($party, $format), "Record-$party->number.".$format->ending(), $format->mediaType());
    }
}
