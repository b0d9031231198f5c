<?php

declare(strict_types=1);

namespace App\Http\Controllers\Engagements;

use Almanac\Records\SectionName;
use App\Actions\Engagements\MoveStage;
use App\Actions\Engagements\ReplaceInRole;
use App\Actions\Engagements\SaveEngagement;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Engagements\HeadRequest;
use App\Http\Requests\Engagements\LinksRequest;
use App\Http\Requests\Engagements\MoveRequest;
use App\Http\Requests\Engagements\PartiesRequest;
use App\Http\Requests\Engagements\ReplaceInRoleRequest;
use App\Http\Requests\Engagements\SiteRequest;
use App\Http\Requests\Engagements\VersionedRequest;
use App\Http\Requests\Records\DetailsRequest;
use App\Http\Requests\Records\UndoRequest;
use App\Models\Engagement;
use App\Models\EngagementMove;
use App\Models\User;
use App\Queries\Engagements\ReadEngagement;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Saves the sections of a case or a project, and moves it on; each answers with the whole of it as it is then. */
final readonly class EngagementSectionsController
{
    public function __construct(private SaveEngagement $save, private ReadEngagement $read)
    {
    }

    #[Puts(
        'engagements/{engagement}/head', 'saveEngagementHead', 'Save the title, who looks after it, and what was agreed',
        'EngagementHeadInput', 'Engagement', 'Engagements',
    )]
    public function head(HeadRequest $request, Engagement $engagement, #[CurrentUser] User $user): JsonResponse
    {
        return $this->save(SectionName::Engagement, $request, $engagement, $user);
    }

    #[Puts(
        'engagements/{engagement}/parties', 'saveEngagementParties', 'Save who is concerned, and as what',
        'EngagementPartiesInput', 'Engagement', 'Engagements',
    )]
    public function parties(PartiesRequest $request, Engagement $engagement, #[CurrentUser] User $user): JsonResponse
    {
        return $this->save(SectionName::Parties, $request, $engagement, $user);
    }

    #[Puts('engagements/{engagement}/site', 'saveEngagementSite', 'Save where it is', 'EngagementSiteInput', 'Engagement', 'Engagements')]
    public function site(SiteRequest $request, Engagement $engagement, #[CurrentUser] User $user): JsonResponse
    {
        return $this->save(SectionName::Site, $request, $engagement, $user);
    }

    #[Puts(
        'engagements/{engagement}/links', 'saveEngagementLinks', 'Save what it is to others', 'EngagementLinksInput',
        'Engagement', 'Engagements',
    )]
    public function links(LinksRequest $request, Engagement $engagement, #[CurrentUser] User $user): JsonResponse
    {
        return $this->save(SectionName::Links, $request, $engagement, $user);
    }

    #[Puts(
        'engagements/{engagement}/details', 'saveEngagementDetails', 'Save what the detail sheets of its kind ask',
        'DetailsInput', 'Engagement', 'Engagements',
    )]
    public function details(DetailsRequest $request, Engagement $engagement, #[CurrentUser] User $user): JsonResponse
    {
        $this->save->handle(SectionName::Details, $engagement, $request->section(), $request->version(), $user);

        return new JsonResponse($this->read->handle($engagement));
    }

    #[Adds(
        'engagements/{engagement}/sections/{section}/undo', 'undoEngagementSection', 'Take the last save of a section back',
        'UndoInput', 'Engagement', 'Engagements', 200,
    )]
    public function undo(UndoRequest $request, Engagement $engagement, string $section, #[CurrentUser] User $user): JsonResponse
    {
        $name = SectionName::tryFrom($section) ?? throw new NotFoundHttpException;
        $this->save->undo($name, $engagement, $request->version(), $user);

        return new JsonResponse($this->read->handle($engagement));
    }

    #[Adds(
        'engagements/{engagement}/moves', 'moveEngagement', 'Move it into another stage', 'StageMoveInput', 'Engagement',
        'Engagements', 200,
    )]
    public function move(MoveRequest $request, Engagement $engagement, MoveStage $move, #[CurrentUser] User $user): JsonResponse
    {
        $move->handle(
            $engagement,
            $request->integer('fromId'),
            $request->integer('stageId'),
            $request->string('on')->value(),
            $request->string('reason')->value(),
            $request->boolean('isSure'),
            $user,
        );

        return new JsonResponse($this->read->handle($engagement));
    }

    #[Removes('engagements/{engagement}/moves/{move}', 'takeBackMove', 'Take the last move back', '', 'Engagement', 'Engagements')]
    public function takeBack(Engagement $engagement, EngagementMove $move, MoveStage $stages, #[CurrentUser] User $user): JsonResponse
    {
        $stages->takeBack($engagement, $move->id, $user);

        return new JsonResponse($this->read->handle($engagement));
    }

    #[Adds(
        'engagements/{engagement}/parties/{inRole}/replace', 'replaceInRole', 'Put somebody else into a role from a day on',
        'ReplaceInRoleInput', 'Engagement', 'Engagements', 200,
    )]
    public function replace(
        ReplaceInRoleRequest $request,
        Engagement $engagement,
        int $inRole,
        ReplaceInRole $replace,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $replace->handle($engagement, $inRole, $request->integer('partyId'), $request->string('from')->value(), $user);

        return new JsonResponse($this->read->handle($engagement));
    }

    private function save(SectionName $name, VersionedRequest $request, Engagement $engagement, User $user): JsonResponse
    {
        $this->save->handle($name, $engagement, $request->section(), $request->version(), $user);

        return new JsonResponse($this->read->handle($engagement));
    }
}
