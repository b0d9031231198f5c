<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ledger;

use App\Actions\Ledger\MakeStatement;
use App\Http\Data\Interchange\JobData;
use App\Http\OpenApi\Adds;
use App\Http\Requests\Ledger\StatementRequest;
use App\Models\Party;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** Long statements, which are put on paper behind the screen. */
final readonly class LongStatementsController
{
    #[Adds('parties/{id}/statement', 'makeStatement', 'Make a long statement as PDF behind the screen', 'StatementInput', 'Job', 'Ledger')]
    public function begin(StatementRequest $request, Party $party, MakeStatement $make, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(JobData::of($make->begin($party, $request->period(), $user)), 201);
    }
}
