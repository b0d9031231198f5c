<?php

declare(strict_types=1);

namespace App\Http\Controllers\Lists;

use Almanac\Lists\ListOf;
use App\Http\Data\Lists\ListIdsData;
use App\Http\FileAnswer;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Lists\ClauseQuery;
use App\Http\Requests\Lists\CountsQuery;
use App\Http\Requests\Lists\PlacesQuery;
use App\Http\Requests\Lists\StretchQuery;
use App\Http\Requests\Lists\TypedQuery;
use App\Models\User;
use App\Queries\Lists\CountMonths;
use App\Queries\Lists\CountRecords;
use App\Queries\Lists\GatherPlaces;
use App\Queries\Lists\ReadWords;
use App\Queries\Records\ListParties;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpFoundation\Response;

/** Says in which words a list can be asked for; counts the records of one, and says where they are. */
final readonly class ListWordsController
{
    public function __construct(private ReadWords $words)
    {
    }

    #[Reads(
        'long-lists/{list}/fields', 'readListFields', 'The fields that a list can be asked for, sorted by and shown with',
        '[ListField]', 'Lists',
    )]
    public function fields(ListOf $list, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->words->fields($list, $user));
    }

    #[Reads('parties/letters', 'readLetters', 'The letters that names of a list begin with', '[Thumb]', 'Lists', StretchQuery::class)]
    public function letters(StretchQuery $query, ListParties $list, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($list->letters($query->listed(), $user));
    }

    #[Reads('parties/ids', 'readIds', 'The numbers of the records of a stretch of a list', 'ListIds', 'Lists', StretchQuery::class)]
    public function ids(StretchQuery $query, ListParties $list, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(new ListIdsData($list->ids($query->listed(), $query->from(), $query->most(), $user)));
    }

    #[Reads('parties/counts', 'countRecords', 'The records of a list, counted by one field or two', 'Counts', 'Lists', CountsQuery::class)]
    public function counts(CountsQuery $query, CountRecords $count, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($count->handle($query->listed(), $query->by(), $query->period(), $user));
    }

    #[Reads('parties/counts.csv', 'countRecordsCsv', 'The same as a table for a spreadsheet', '', 'Lists', CountsQuery::class)]
    public function countsCsv(CountsQuery $query, CountRecords $count, #[CurrentUser] User $user): Response
    {
        return FileAnswer::answer(
            $count->csv($query->listed(), $query->by(), $query->period(), $user),
            'Counted.csv',
            'text/csv; charset=UTF-8',
        );
    }

    #[Reads(
        'parties/months', 'countMonths', 'What the records of a list were billed and paid, month by month', '[Month]',
        'Lists', CountsQuery::class,
    )]
    public function months(CountsQuery $query, CountMonths $count, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($count->handle($query->listed(), $query->period(), $user));
    }

    #[Reads('parties/places', 'readPlaces', 'Where the records of a list are', 'Places', 'Lists', PlacesQuery::class)]
    public function places(PlacesQuery $query, GatherPlaces $places, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($places->handle($query->listed(), $query->cell(), $query->inside(), $user));
    }

    #[Reads(
        'long-lists/{list}/suggestions', 'suggestWords', 'What may come next in the sentence that is being typed',
        '[Suggestion]', 'Lists', TypedQuery::class,
    )]
    public function suggestions(TypedQuery $query, ListOf $list, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->words->suggestions($list, $query->typed(), $user));
    }

    #[Reads(
        'long-lists/{list}/clause', 'writeClause', 'The words of one condition that was put together by hand', 'FilterPart',
        'Lists', ClauseQuery::class,
    )]
    public function clause(ClauseQuery $query, ListOf $list, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->words->clause($list, $query->field(), $query->operator(), $query->values(), $user));
    }
}
