<?php

declare(strict_types=1);

namespace App\Http\Problems;

use Almanac\Access\Permission;
use Almanac\Access\Role;
use Almanac\Records\ArchivedRecord;
use Almanac\Records\Difference;
use Almanac\Records\StaleSave;
use Almanac\Refusal;
use App\Actions\Records\StaleSection;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** Turns every error of the API into problem details (RFC 9457) that say what to do. */
final class ProblemRenderer
{
    private const TITLES = [
        400 => ['Not possible', 'Sign in from a page of Neat Almanac, or make a token for a script at /api/tokens.'],
        401 => ['You are signed out', 'Sign in again to go on.'],
        403 => ['You may not do this', 'Your role does not allow it. Ask an administrator.'],
        404 => ['Not found', 'That record is not in the book, or no longer is.'],
        405 => ['Not possible', 'That cannot be done here.'],
        413 => ['Too large', 'That is more than can be taken at once.'],
        419 => ['You are signed out', 'Sign in again to go on.'],
        503 => ['Busy', 'Somebody else is saving something large. It is tried again by itself.'],
        429 => ['Too many tries', 'Wait a minute, then try again.'],
    ];

    public function __invoke(\Throwable $error, Request $request): ?JsonResponse
    {
        if (! $request->is('api/*')) {
            return null;
        }

        return match (true) {
            $error instanceof ValidationException => $this->validation($error->errors()),
            $error instanceof MadeOne => $error->answer($request),
            $error instanceof SecondFactorMissing => $this->respond(403, $error->title, $error->getMessage(), ['type' => $error->type]),
            $error instanceof Refusal => $this->respond(422, 'Not possible', $error->getMessage()),
            $error instanceof StaleSection => $this->stale($error),
            $error instanceof StaleSave => $this->respond(409, 'Somebody saved this in the meantime', $error->getMessage()),
            $error instanceof ArchivedRecord => $this->respond(423, 'Archived', $error->getMessage()),
            $error instanceof AuthenticationException => $this->problem(401),
            // Laravel has wrapped it by now, and put words of its own where there were none.
            $error->getPrevious() instanceof AuthorizationException => $this->forbidden($error->getMessage(), $request),
            self::isBusy($error) => $this->problem(503, ['Retry-After' => '1']),
            $error instanceof HttpExceptionInterface => $this->problem($error->getStatusCode(), $error->getHeaders()),
            default => $this->problem(500),
        };
    }

    /** SQLite could not be had within its time: nothing is wrong, and nothing was done. */
    private static function isBusy(\Throwable $error): bool
    {
        return $error instanceof PDOException && in_array($error->errorInfo[1] ?? null, [5, 6], true)
            || $error instanceof PDOException && str_contains($error->getMessage(), 'database is locked');
    }

    /** A reason of its own goes before the general one, which says which role may. */
    private function forbidden(string $own, Request $request): JsonResponse
    {
        [$title, $detail] = self::TITLES[403];
        foreach ($request->route()?->gatherMiddleware() ?? [] as $middleware) {
            $permission =
                is_string($middleware) && str_starts_with($middleware, 'can:') ? Permission::tryFrom(substr($middleware, 4)) : null;
            $detail = $permission === null ? $detail : $this->whoMay($permission);
        }

        return $this->respond(403, $title, $own === '' || $own === 'This action is unauthorized.' ? $detail : $own);
    }

    private function whoMay(Permission $permission): string
    {
        $roles = array_map(
            fn (Role $role) => $role->value.'s',
            array_filter(Role::cases(), fn (Role $role) => $role->may($permission)),
        );
        $last = array_pop($roles);

        return 'Only '.($roles === [] ? '' : implode(', ', $roles).' and ').$last.' may do this.';
    }

    /** @param  array<string, list<string>>  $errors */
    private function validation(array $errors): JsonResponse
    {
        $fields = [];
        foreach ($errors as $field => $messages) {
            foreach ($messages as $message) {
                $fields[] = ['field' => $field, 'message' => $message];
            }
        }

        return $this->respond(422, 'Not saved yet', 'Correct what is marked, then save again.', ['errors' => $fields]);
    }

    private function stale(StaleSection $stale): JsonResponse
    {
        return $this->respond(409, 'Somebody saved this in the meantime', $stale->getMessage(), [
            'version' => $stale->version,
            'savedBy' => $stale->savedBy,
            'savedAt' => $stale->savedAt?->format(DATE_ATOM),
            'differences' => array_map(fn (Difference $difference) => [
                'label' => $difference->label,
                'theirs' => $difference->from,
                'yours' => $difference->to,
            ], $stale->differences),
        ]);
    }

    /** @param  array<string, mixed>  $headers */
    private function problem(int $status, array $headers = []): JsonResponse
    {
        [$title, $detail] = self::TITLES[$status]
            ?? ($status < 500
                ? ['Not possible', 'The request could not be understood.']
                : ['Something went wrong', 'Nothing was saved. Try again; if it happens again, tell your administrator.']);

        return $this->respond($status, $title, $detail, [], $headers);
    }

    /**
     * @param array<string, mixed> $more
     * @param array<string, mixed> $headers
     */
    private function respond(int $status, string $title, string $detail, array $more = [], array $headers = []): JsonResponse
    {
        return new JsonResponse(
            ['type' => 'about:blank', 'title' => $title, 'status' => $status, 'detail' => $detail, ...$more],
            $status,
            ['Content-Type' => 'application/problem+json', ...$headers],
        );
    }
}
