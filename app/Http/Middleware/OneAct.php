<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Acts\ActLog;
use App\Models\User;
use App\Models\Values\Fingerprint;
use App\Time\Clock;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use OpenApi\Annotations\Operation;
use ReflectionAttribute;
use ReflectionMethod;
use Symfony\Component\HttpFoundation\Response;

/**
 * A write is one act: it holds the write lock of the database from its first look at it to its answer,
 * so that whatever it decides is decided on what is so, and all of it is kept or nothing.
 *
 * A write that carries an Idempotency-Key is done once: the same key gets the same answer for a day.
 * The answer is kept in the transaction of the act, so that a server that dies between the two leaves neither.
 *
 * Source: IETF draft-ietf-httpapi-idempotency-key-header, "The Idempotency-Key HTTP Header Field".
 */
final readonly class OneAct
{
    public const KEPT_HOURS = 24;

    private const LONGEST_KEY = 255;

    private const LONGEST_ANSWER = 4_000_000;

    public function __construct(private ActLog $log, private Clock $clock)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethodSafe()) {
            return $next($request);
        }
        $key = $this->key($request);
        $this->log->forget();
        DB::beginTransaction();
        try {
            $kept = $key === null ? null : $this->kept($request, $key);
            $response = $kept ?? $next($request);
            if (! $response instanceof Response || $response->getStatusCode() >= 400) {
                DB::rollBack();
            } else {
                if ($kept === null) {
                    $this->note($request);
                }
                if ($key !== null && $kept === null) {
                    $this->keep($request, $key, $response);
                }
                DB::commit();
            }

            return $response;
        } catch (\Throwable $error) {
            DB::rollBack();
            throw $error;
        }
    }

    /** Who did it, and what. */
    private function note(Request $request): void
    {
        $user = $request->user();
        $route = $request->route();
        if (! $user instanceof User || ! $route instanceof Route) {
            return;
        }
        $bound = array_filter($route->parameters(), fn (mixed $parameter) => $parameter instanceof Model);
        $this->log->keep($user, $this->wordsOf($route), array_values($bound)[0] ?? null, $this->clock->now());
    }

    /** What the act is called in the contract. */
    private function wordsOf(Route $route): string
    {
        $method = $route->getActionMethod();
        $controller = $route->getControllerClass();
        $attributes =
            $controller === null
                ? []
                : (new ReflectionMethod($controller, $method === $controller ? '__invoke' : $method))->getAttributes(
                    Operation::class,
                    ReflectionAttribute::IS_INSTANCEOF,
                );

        return $attributes === [] ? $route->uri() : $attributes[0]->newInstance()->summary;
    }

    private function key(Request $request): ?string
    {
        $key = $request->header('Idempotency-Key');
        if ($key === null || $key === '') {
            return null;
        }
        if (strlen($key) > self::LONGEST_KEY || preg_match('/[^\x21-\x7e]/', $key) === 1) {
            throw ValidationException::withMessages([
                'Idempotency-Key' => 'The key is at most 255 letters, digits and signs, without spaces.',
            ]);
        }

        return $key;
    }

    /** @throws ValidationException when the key was used for something else */
    private function kept(Request $request, string $key): ?Response
    {
        $kept = DB::table('idempotency_keys')->where('user_id', $this->userId($request))->where('key', $key)
            ->where('at', '>=', $this->oldest())->first();
        if ($kept === null) {
            return null;
        }
        if ($kept->request !== $this->fingerprint($request)) {
            throw ValidationException::withMessages(['Idempotency-Key' => 'This key was used for another request. Use a new one.']);
        }

        return new Response(Crypt::decryptString((string) $kept->body), (int) $kept->status, [
            'Content-Type' => (string) $kept->type,
            'Idempotency-Replayed' => 'true',
        ]);
    }

    private function keep(Request $request, string $key, Response $response): void
    {
        $body = (string) $response->getContent();
        if (strlen($body) > self::LONGEST_ANSWER) {
            return;
        }
        DB::table('idempotency_keys')->where('at', '<', $this->oldest())->delete();
        DB::table('idempotency_keys')->insert([
            'user_id' => $this->userId($request),
            'key' => $key,
            'request' => $this->fingerprint($request),
            'status' => $response->getStatusCode(),
            'type' => (string) $response->headers->get('Content-Type'),
            'body' => Crypt::encryptString($body),
            'at' => time(),
        ]);
    }

    private function oldest(): int
    {
        return time() - self::KEPT_HOURS * 3600;
    }

    private function userId(Request $request): int
    {
        $id = $request->user()?->getAuthIdentifier();

        return is_int($id) ? $id : 0;
    }

    /** By which the same request is known again; of files, their content. */
    private function fingerprint(Request $request): string
    {
        $files = array_map(
            fn (UploadedFile|array $file) => $file instanceof UploadedFile
                ? [$file->getClientOriginalName(), hash_file('sha256', $file->getPathname())]
                : [],
            $request->allFiles(),
        );
        $input = $request->isJson() ? (string) $request->getContent() : serialize($request->except(array_keys($files)));

        return Fingerprint::of(implode("\n", [$request->method(), $request->getRequestUri(), $input, serialize($files)]));
    }
}
