<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Actions\Files\SweepFiles;
use App\Models\Office;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class LogoTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->asAdministrator();
    }

    public function test_it_stands_on_the_papers_until_it_is_removed(): void
    {
        $client = $this->addCompany('Penhallow', ['isClient' => true]);
        $invoice = $this->issued($client, 'invoice', '10');
        $plain = $this->pdf($invoice->id);
        $address = $this->choose(UploadedFile::fake()->image('logo.jpg', 2400, 800))->assertCreated()->json('logo');
        $picture = $this->get((string) $address)->assertOk()->assertHeader('Content-Type', 'image/png')->streamedContent();
        $this->assertSame([1080, 360], array_slice((array) getimagesizefromstring($picture), 0, 2), 'no larger than paper needs it');
        $this->assertSame([0, 1], [substr_count($plain, '/Subtype /Image'), substr_count($this->pdf($invoice->id), '/Subtype /Image')]);

        $this->choose(UploadedFile::fake()->image('other.png', 30, 10))->assertCreated();
        $this->assertCount(1, Storage::allFiles('logos'), 'the one before it is gone');
        $this->assertSame(0, $this->app->make(SweepFiles::class)->handle(), 'and the new one stays');
        $this->deleteJson('/api/office/logo')->assertOk()->assertJsonPath('logo', null);
        $this->assertSame([], Storage::allFiles('logos'));
        $this->getJson('/api/office/logo')->assertNotFound();
        $this->assertSame(0, substr_count($this->pdf($invoice->id), '/Subtype /Image'));
    }

    public function test_what_cannot_be_printed_is_refused_and_the_former_one_stays(): void
    {
        $this->choose(UploadedFile::fake()->image('logo.png', 30, 10))->assertCreated();
        $before = Office::query()->value('logo_path');
        $whole = UploadedFile::fake()->image('logo.png', 300, 100);
        $cut = substr((string) file_get_contents($whole->getPathname()), 0, 60);
        foreach (
            ['<svg xmlns="http://www.w3.org/2000/svg"/>', '%PDF-1.4', '', $cut, 'GIF89a'.pack('vv', 60_000, 60_000)."\x80\0\0"] as $content
        ) {
            $this->choose(UploadedFile::fake()->createWithContent('logo.png', $content))
                ->assertUnprocessable()
                ->assertJsonPath('errors.0.field', 'file');
        }
        $this->postJson('/api/office/logo', ['file' => 'a text'])->assertUnprocessable();
        $this->assertSame($before, Office::query()->value('logo_path'));
        $this->actingAs($this->user(Role::Clerk));
        $this->choose(UploadedFile::fake()->image('logo.png', 30, 10))->assertForbidden();
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function choose(UploadedFile $file): TestResponse
    {
        return $this->post('/api/office/logo', ['file' => $file], ['Accept' => 'application/json']);
    }

    private function pdf(int $document): string
    {
        return (string) $this->get("/api/documents/$document/pdf")->assertOk()->getContent();
    }
}
