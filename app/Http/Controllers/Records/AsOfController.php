<?php

declare(strict_types=1);

namespace App\Http\Controllers\Records;

use Almanac\Calendar\Day;
use Almanac\Records\SectionName;
use App\Actions\Engagements\EngagementSections;
use App\Actions\Engagements\SaveEngagement;
use App\Actions\Records\CompareDays;
use App\Actions\Records\RecalledSection;
use App\Actions\Records\SaveSection;
use App\Actions\Records\SectionOf;
use App\Actions\Records\Sections;
use App\Http\Data\Records\AsOfData;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Records\AsOfRequest;
use App\Http\Requests\Records\BringBackRequest;
use App\Models\Engagement;
use App\Models\Party;
use App\Models\SubjectModel;
use App\Models\User;
use App\Queries\Engagements\ReadEngagement;
use App\Queries\Records\ReadRecord;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What a record, a case or a project was on a past day, and a section of it brought back from there. */
final readonly class AsOfController
{
    public function __construct(private CompareDays $compare, private Sections $sections, private EngagementSections $engagementSections)
    {
    }

    #[Reads('parties/{id}/as-of', 'readRecordAsOf', 'A record as it was on a past day', 'AsOf', 'Records', AsOfRequest::class)]
    public function party(AsOfRequest $request, Party $party): JsonResponse
    {
        return $this->answer($request, $party, $this->sections->of(...), fn () => []);
    }

    #[Reads(
        'engagements/{engagement}/as-of', 'readEngagementAsOf', 'A case or a project as it was on a past day', 'AsOf',
        'Engagements', AsOfRequest::class,
    )]
    public function engagement(AsOfRequest $request, Engagement $engagement): JsonResponse
    {
        return $this->answer(
            $request,
            $engagement,
            $this->engagementSections->all(...),
            fn (Day $day) => [$this->engagementSections->stageOn($engagement, $day)],
        );
    }

    #[Adds(
        'parties/{id}/sections/{section}/bring-back', 'bringBackSection', 'Save a section again as it was on a past day',
        'BringBackInput', 'Record', 'Records', 200,
    )]
    public function bringBack(
        BringBackRequest $request,
        Party $party,
        string $section,
        SaveSection $save,
        ReadRecord $read,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $named = $this->sections->named(self::name($section)) ?? throw new NotFoundHttpException;
        $save->bringBack($named, $party, $request->day(), $request->version(), $user);

        return new JsonResponse($read->handle($party));
    }

    #[Adds(
        'engagements/{engagement}/sections/{section}/bring-back', 'bringBackEngagementSection',
        'Save a section again as it was on a past day', 'BringBackInput', 'Engagement', 'Engagements', 200,
    )]
    public function bringBackOfEngagement(
        BringBackRequest $request,
        Engagement $engagement,
        string $section,
        SaveEngagement $save,
        ReadEngagement $read,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $name = self::name($section);
        if ($this->engagementSections->of($name, $engagement) === null) {
            throw new NotFoundHttpException;
        }
        $save->bringBack($name, $engagement, $request->day(), $request->version(), $user);

        return new JsonResponse($read->handle($engagement));
    }

    /**
     * @template S of SubjectModel
     *
     * @param S $subject
     * @param \Closure(S): list<SectionOf> $sectionsOf
     * @param \Closure(Day): list<RecalledSection> $more
     */
    private function answer(AsOfRequest $request, SubjectModel $subject, \Closure $sectionsOf, \Closure $more): JsonResponse
    {
        return new JsonResponse(AsOfData::of(
            $subject,
            $this->compare->handle($subject, $request->day(), $request->other(), $sectionsOf, $more),
        ));
    }

    private static function name(string $section): SectionName
    {
        return SectionName::tryFrom($section) ?? throw new NotFoundHttpException;
    }
}
