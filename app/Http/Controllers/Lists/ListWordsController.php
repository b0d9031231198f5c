<?php

declare(strict_types=1);

namespace App\Http\Controllers\Lists;

use App\Http\Data\Lists\ListIdsData;
use App\Http\FileAnswer;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Lists\ClauseQuery;
use App\Http\Requests\Lists\CountsQuery;
use App\Http\Requests\Lists\StretchQuery;
use App\Http\Requests\Lists\TypedQuery;
use App\Models\User;
use App\Queries\Lists\CountRecords;
use App\Queries\Lists\ReadWords;
use App\Queries\Records\ListParties;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpFoundation\Response;

/** Says in which words a list of records can be asked for. */
final readonly class ListWordsController
{
    public function __construct(private ReadWords $words)
    {
    }

    #[Reads('parties/fields', 'readListFields', 'The fields that a list of records can be asked for, sorted by and shown with', '[ListField]', 'Lists')]
    public function fields(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->words->fields($user));
    }

    #[Reads('parties/letters', 'readLetters', 'The letters that names of a list begin with', '[Thumb]', 'Lists', StretchQuery::class)]
    public function letters(StretchQuery $query, ListParties $list, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($list->letters($query->wanted(), $user));
    }

    #[Reads('parties/ids', 'readIds', 'The numbers of the records of a stretch of a list', 'ListIds', 'Lists', StretchQuery::class)]
    public function ids(StretchQuery $query, ListParties $list, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(new ListIdsData($list->ids($query->wanted(), $query->from(), $query->most(), $user)));
    }

    #[Reads('parties/counts', 'countRecords', 'The records of a list, counted by one field or two', 'Counts', 'Lists', CountsQuery::class)]
    public function counts(CountsQuery $query, CountRecords $count, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($count->handle($query->wanted(), $query->by(), $user));
    }

    #[Reads('parties/counts.csv', 'countRecordsCsv', 'The same as a table for a spreadsheet', '', 'Lists', CountsQuery::class)]
    public function countsCsv(CountsQuery $query, CountRecords $count, #[CurrentUser] User $user): Response
    {
        return FileAnswer::answer($count->csv($query->wanted(), $query->by(), $user), 'Counted.csv', 'text/csv; charset=UTF-8');
    }

    #[Reads('parties/suggestions', 'suggestWords', 'What may come next in the sentence that is being typed', '[Suggestion]', 'Lists', TypedQuery::class)]
    public function suggestions(TypedQuery $query, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->words->suggestions($query->typed(), $user));
    }

    #[Reads('parties/clause', 'writeClause', 'The words of one condition that was put together by hand', 'FilterPart', 'Lists', ClauseQuery::class)]
    public function clause(ClauseQuery $query, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->words->clause($query->field(), $query->operator(), $query->values(), $user));
    }
}
