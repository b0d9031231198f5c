<?php

declare(strict_types=1);

namespace App\Http\Controllers\Merging;

use Almanac\Merging\ApartDecisions;
use Almanac\Records\LoggedFact;
use App\Actions\Merging\KeepEdits;
use App\Actions\Merging\MakeOne;
use App\Actions\Merging\PlanApart;
use App\Actions\Merging\PlanMerge;
use App\Actions\Merging\ProposeMerge;
use App\Actions\Merging\RecallFormer;
use App\Actions\Merging\TakeApart;
use App\Http\Data\Merging\ApartPreviewData;
use App\Http\Data\Merging\FormerRecordData;
use App\Http\Data\Merging\FormerSectionData;
use App\Http\Data\Merging\MergeDecidedData;
use App\Http\Data\Merging\MergePreviewData;
use App\Http\Data\Merging\MergeSideData;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Merging\ApartRequest;
use App\Http\Requests\Merging\EditingRequest;
use App\Http\Requests\Merging\MergeRequest;
use App\Models\Merge;
use App\Models\MergeSide;
use App\Models\Party;
use App\Models\User;
use App\Queries\Merging\ReadMerges;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Records that are made one, and taken apart again. */
final readonly class MergesController
{
    public function __construct(private ReadMerges $read)
    {
    }

    #[Adds(
        'merges/preview', 'previewMerge', 'The record that several become, as it will stand', 'MergeInput', 'MergePreview',
        'Merging', 200,
    )]
    public function preview(MergeRequest $request, PlanMerge $plan, #[CurrentUser] User $user): JsonResponse
    {
        $planned = $plan->of($request->partyIds(), $request->keptId(), $request->decisions(), $user);
        $ids = array_values($planned->sides->map(fn (Party $party) => $party->id)->all());

        return new JsonResponse(MergePreviewData::of(
            $planned, $this->read->standing($ids), $this->read->carried($ids), MakeOne::isAllowedTo($user),
        ));
    }

    #[Adds('merges', 'makeOne', 'Make several records one', 'MergeInput', 'Merge', 'Merging')]
    public function store(MergeRequest $request, MakeOne $make, #[CurrentUser] User $user): JsonResponse
    {
        $merge = $make->handle(
            $request->partyIds(),
            $request->keptId() ?? 0,
            $request->decisions(),
            $request->string('seen')->value(),
            trim($request->string('why')->value()),
            $user,
        );

        return new JsonResponse($this->read->one($merge), 201);
    }

    #[Adds('merges/propose', 'proposeMerge', 'Ask one who may do it to make several records one', 'MergeInput', 'Merge', 'Merging')]
    public function propose(MergeRequest $request, ProposeMerge $propose, #[CurrentUser] User $user): JsonResponse
    {
        $merge = $propose->handle(
            $request->partyIds(), $request->keptId() ?? 0, $request->decisions(), trim($request->string('why')->value()),
            $user,
        );

        return new JsonResponse($this->read->one($merge), 201);
    }

    #[Removes('merges/{merge}', 'withdrawMerge', 'Take a proposal back', '', '', 'Merging', 204)]
    public function withdraw(Merge $merge, ProposeMerge $propose, #[CurrentUser] User $user): Response
    {
        $propose->withdraw($merge, $user);

        return new Response(status: 204);
    }

    #[Reads('merges/proposed', 'listProposedMerges', 'What somebody proposes to make one', '[Merge]', 'Merging')]
    public function proposed(): JsonResponse
    {
        return new JsonResponse($this->read->proposed());
    }

    #[Reads('merges/{merge}/input', 'readMergeInput', 'What was decided in a proposal', 'MergeDecided', 'Merging')]
    public function decided(Merge $merge): JsonResponse
    {
        return new JsonResponse(MergeDecidedData::of($merge->load('sides')));
    }

    #[Reads('parties/{id}/merges', 'listMergesOfRecord', 'What a record was made one from', '[Merge]', 'Merging')]
    public function ofRecord(Party $party): JsonResponse
    {
        return new JsonResponse($this->read->ofRecord($party));
    }

    #[Reads(
        'merges/{merge}/former/{former}', 'readFormerRecord', 'A record as it was before it was made one with another',
        'FormerRecord', 'Merging',
    )]
    public function former(Merge $merge, int $former, RecallFormer $recall): JsonResponse
    {
        $side = $merge->sides()->where('party_id', $former)->first();
        abort_unless($side instanceof MergeSide && $merge->done_at !== null, 404);
        $sections = [];
        foreach ($recall->handle($merge, $side) as [$name, $facts]) {
            $sections[] = new FormerSectionData(
                $name->title(),
                array_map(fn (LoggedFact $one) => ['label' => $one->label, 'text' => $one->value], $facts),
            );
        }

        return new JsonResponse(new FormerRecordData($this->read->one($merge), MergeSideData::of($side), $sections));
    }

    #[Reads('merges/{merge}/apart', 'previewApart', 'What becomes of each record when they are taken apart', 'ApartPreview', 'Merging')]
    public function apartPreview(Merge $merge, PlanApart $plan, #[CurrentUser] User $user): JsonResponse
    {
        $planned = $plan->of($merge, new ApartDecisions);
        $planned->merge->load('proposedBy');

        return new JsonResponse(ApartPreviewData::of($planned, MakeOne::isAllowedTo($user)));
    }

    #[Adds('merges/{merge}/apart', 'takeApart', 'Take records apart that were made one', 'ApartInput', 'Merge', 'Merging', 200)]
    public function apart(ApartRequest $request, Merge $merge, TakeApart $take, #[CurrentUser] User $user): JsonResponse
    {
        $take->handle($merge, $request->decisions(), $request->string('seen')->value(), $user);

        return new JsonResponse($this->read->one($merge));
    }

    #[Puts('parties/{id}/editing', 'noteEditing', 'Say that one is changing a record, or no longer', 'EditingInput', '', 'Merging', 204)]
    public function editing(EditingRequest $request, Party $party, KeepEdits $keep, #[CurrentUser] User $user): Response
    {
        $keep->handle($party, $request->boolean('isEditing'), $user);

        return new Response(status: 204);
    }
}
