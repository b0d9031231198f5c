<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mailing;

use Almanac\Mailing\MailingRefused;
use App\Actions\Mailing\RunLetters;
use App\Facts\Mailing\TypedLetter;
use App\Http\Data\Mailing\LettersToData;
use App\Http\Data\Mailing\WrittenLetterData;
use App\Http\FileAnswer;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Mailing\LetterRequest;
use App\Http\Requests\Mailing\LettersToRequest;
use App\Models\LetterRun;
use App\Models\User;
use App\Queries\Mailing\ReadLetters;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Letters to many. */
final readonly class LettersController
{
    public function __construct(private RunLetters $run, private ReadLetters $read)
    {
    }

    #[Adds(
        'letters/to', 'seeWhomLettersGoTo', 'Whom letters would go to, and who would be left out', 'LettersToInput',
        'LettersTo', 'Mailing', 200,
    )]
    public function to(LettersToRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(LettersToData::of($this->read->to(
            $request->chosen(), $request->way(), $request->boolean('isOnceAHousehold'), $user,
        )));
    }

    #[Adds(
        'letters/preview', 'previewLetter', 'How the letter to those that are chosen would read', 'LetterInput',
        'WrittenLetter', 'Mailing', 200,
    )]
    public function preview(LetterRequest $request, TypedDates $dates, #[CurrentUser] User $user): JsonResponse
    {
        $letter = $request->letter();
        $problems = new FieldProblems;
        $typed = TypedLetter::read($letter, $dates, $problems, $user);
        $problems->throwIfAny();
        $written = $this->read->written(
            $request->chosen(), $request->way(), $letter['isOnceAHousehold'],
            $typed->writer ?? throw MailingRefused::empty(), $user,
        );

        return new JsonResponse(WrittenLetterData::of($written, $typed->day));
    }

    #[Adds(
        'letters', 'writeLetters', 'Write a letter to those that are chosen, behind the screen', 'LetterInput',
        'LetterRunPage', 'Mailing',
    )]
    public function add(LetterRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->read->one($this->run->begin($request->chosen(), $request->letter(), $user)), 201);
    }

    #[Reads('letters', 'listLetterRuns', 'The letters to many, the latest first', '[LetterRun]', 'Mailing')]
    public function index(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->read->latest($user));
    }

    #[Reads('letters/{run}', 'readLetterRun', 'A letter to many, and what came of it for each record', 'LetterRunPage', 'Mailing')]
    public function show(LetterRun $run, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($run, $user);

        return new JsonResponse($this->read->one($run));
    }

    #[Reads('letters/{run}/file', 'readLettersFile', 'The letters on paper', '', 'Mailing')]
    public function file(LetterRun $run, #[CurrentUser] User $user): BinaryFileResponse
    {
        $this->mustBeTheirs($run, $user);
        if ($run->path === null || ! Storage::exists($run->path)) {
            throw new NotFoundHttpException('That is not ready, or is no longer kept. Write it again.');
        }
        $isOne = str_ends_with($run->path, '.pdf');

        return FileAnswer::kept(Storage::path($run->path), $isOne ? 'Letters.pdf' : 'Letters.zip', $isOne ? 'application/pdf' : 'application/zip');
    }

    #[Adds('letters/{run}/stop', 'stopLetters', 'Stop it; what is written stays written', '', 'LetterRunPage', 'Mailing', 200)]
    public function stop(LetterRun $run, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($run, $user);
        $this->run->stop($run);

        return new JsonResponse($this->read->one($run));
    }

    #[Adds('letters/{run}/go-on', 'goOnWithLetters', 'Go on with what is left of it', '', 'LetterRunPage', 'Mailing', 200)]
    public function goOn(LetterRun $run, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($run, $user);
        $this->run->goOn($run);

        return new JsonResponse($this->read->one($run));
    }

    #[Removes(
        'letters/{run}', 'forgetLetters', 'Forget its file and its list; the logs and the outbox keep what they have', '',
        '[LetterRun]', 'Mailing',
    )]
    public function forget(LetterRun $run, #[CurrentUser] User $user): JsonResponse
    {
        $this->mustBeTheirs($run, $user);
        $this->run->forget($run);

        return new JsonResponse($this->read->latest($user));
    }

    private function mustBeTheirs(LetterRun $run, User $user): void
    {
        if (! $run->isReadableBy($user)) {
            throw new NotFoundHttpException('There is nothing of yours here.');
        }
    }
}
