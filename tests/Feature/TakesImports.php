<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** A file that was handed in, from its columns to what came of it. */
trait TakesImports
{
    /** @return TestResponse<Response> */
    private function handIn(string $content, string $name = 'people.csv'): TestResponse
    {
        return $this->post(
            '/api/imports',
            ['file' => UploadedFile::fake()->createWithContent($name, $content)],
            ['Accept' => 'application/json'],
        );
    }

    /**
     * @param array<string, mixed> $changes
     *
     * @return TestResponse<Response>
     */
    private function match(int $id, array $changes = []): TestResponse
    {
        $columns = $this->getJson("/api/imports/$id/columns")->assertOk();

        $this->putJson("/api/imports/$id/columns", $changes + [
            'sheet' => $columns->json('sheet'), 'hasHeadings' => $columns->json('hasHeadings'),
            'targets' => $columns->json('columns.*.target'),
            'isMonthFirst' => $columns->json('isMonthFirst'), 'decimalSign' => $columns->json('decimalSign'),
            'existing' => $columns->json('existing'),
            'takesNewWords' => $columns->json('takesNewWords'), 'kind' => $columns->json('kind'), 'roles' => $columns->json('roles'),
        ])->assertOk();

        return $this->read($id);
    }

    /** @return TestResponse<Response> */
    private function act(int $id, string $what): TestResponse
    {
        $this->postJson("/api/imports/$id/$what")->assertOk();

        return $this->read($id);
    }

    /** @return TestResponse<Response> as it is once the work is done, which follows the request */
    private function read(int $id): TestResponse
    {
        return $this->getJson("/api/imports/$id")->assertOk();
    }
}
