<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mailing;

use App\Actions\Mailing\KeepLetterTemplates;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Mailing\LetterFieldsQuery;
use App\Http\Requests\Mailing\LetterTemplateRequest;
use App\Http\Requests\VersionRequest;
use App\Models\LetterTemplate;
use App\Models\User;
use App\Queries\Mailing\ReadLetters;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** The letters that the office writes again and again. */
final readonly class LetterTemplatesController
{
    public function __construct(private KeepLetterTemplates $keep, private ReadLetters $read)
    {
    }

    #[Reads('letter-templates', 'listLetterTemplates', 'The templates of letters', '[LetterTemplate]', 'Mailing')]
    public function index(): JsonResponse
    {
        return new JsonResponse($this->read->templates());
    }

    #[Reads('letter-fields', 'listLetterFields', 'The fields that a letter may have', '[LetterField]', 'Mailing', LetterFieldsQuery::class)]
    public function fields(LetterFieldsQuery $query): JsonResponse
    {
        return new JsonResponse($this->read->fields($query->boolean('engagement')));
    }

    #[Adds('letter-templates', 'addLetterTemplate', 'Keep a template of a letter', 'LetterTemplateInput', '[LetterTemplate]', 'Mailing')]
    public function add(LetterTemplateRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $this->keep->add($request->template(), $user);

        return new JsonResponse($this->read->templates(), 201);
    }

    #[Puts(
        'letter-templates/{template}', 'changeLetterTemplate', 'Change a template of a letter', 'LetterTemplateInput',
        '[LetterTemplate]', 'Mailing',
    )]
    public function change(LetterTemplateRequest $request, LetterTemplate $template, #[CurrentUser] User $user): JsonResponse
    {
        $this->keep->change($template, $request->template(), $request->version(), $user);

        return new JsonResponse($this->read->templates());
    }

    #[Removes(
        'letter-templates/{template}', 'removeLetterTemplate', 'Remove a template; its letters stay', 'VersionInput',
        '[LetterTemplate]', 'Mailing',
    )]
    public function remove(VersionRequest $request, LetterTemplate $template): JsonResponse
    {
        $this->keep->remove($template, $request->version());

        return new JsonResponse($this->read->templates());
    }
}
