<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Http\Middleware\OneAct;
use App\Models\Document;
use App\Models\LogEntry;
use App\Models\Payment;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Tests\TestCase;

/** IETF draft-ietf-httpapi-idempotency-key-header: the same write, sent again, is done once. */
final class OneActTest extends TestCase
{
    public function test_the_same_key_gets_the_same_answer_and_nothing_is_done_twice(): void
    {
        $client = $this->addCompany('Penhallow Observatory', ['isClient' => true]);
        $this->withHeader('Idempotency-Key', 'one');
        $first = $this->pay($client, '60')->assertCreated()->assertHeaderMissing('Idempotency-Replayed');
        $again = $this->pay($client, '60')->assertCreated()->assertHeader('Idempotency-Replayed', 'true');
        $this->assertSame($first->getContent(), $again->getContent());
        $this->assertSame(1, Payment::query()->count());
        $this->assertStringNotContainsString(
            '60.00',
            (string) json_encode(DB::table('idempotency_keys')->first()),
            'what is kept of it is encrypted',
        );
        $this->withHeader('Idempotency-Key', 'two');
        $this->pay($client, '60')->assertCreated();
        $this->assertSame(2, Payment::query()->count());
    }

    public function test_a_key_is_for_one_request_and_one_person(): void
    {
        $client = $this->addCompany('Penhallow Observatory', ['isClient' => true]);
        $this->withHeader('Idempotency-Key', 'one');
        $this->pay($client, '60')->assertCreated();
        $this->pay($client, '61')
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', [
                'field' => 'Idempotency-Key',
                'message' => 'This key was used for another request. Use a new one.',
            ]);
        $clerk = $this->withoutHeader('Idempotency-Key')->user(Role::Clerk);
        $this->actingAs($clerk)->withHeader('Idempotency-Key', 'one');
        $this->pay($client, '60')->assertCreated()->assertHeaderMissing('Idempotency-Replayed');
        $this->withHeader('Idempotency-Key', str_repeat('x', 256));
        $this->pay($client, '60')->assertUnprocessable();
        $this->assertSame(2, Payment::query()->count());
    }

    public function test_what_was_refused_may_be_sent_again_and_a_day_later_the_key_is_free(): void
    {
        $client = $this->addCompany('Penhallow Observatory', ['isClient' => true]);
        $this->withHeader('Idempotency-Key', 'one');
        $this->pay($client, 'nothing')->assertUnprocessable();
        $this->assertDatabaseCount('idempotency_keys', 0);
        $this->pay($client, '60')->assertCreated();
        DB::table('idempotency_keys')->update(['at' => time() - OneAct::KEPT_HOURS * 3600 - 1]);
        $this->pay($client, '60')->assertCreated()->assertHeaderMissing('Idempotency-Replayed');
        $this->assertSame(2, Payment::query()->count());
        $this->assertDatabaseCount('idempotency_keys', 1);
    }

    public function test_what_fails_at_its_end_leaves_nothing(): void
    {
        $client = $this->addCompany('Penhallow Observatory', ['isClient' => true]);
        Document::created(fn () => throw new \RuntimeException('The lights went out.'));
        $this->withHeader('Idempotency-Key', 'one');
        $this->postJson("/api/parties/{$client->id}/documents", $this->documentInput('invoice', '5'))->assertServerError();
        $this->assertDatabaseCount('idempotency_keys', 0);
        $this->assertSame([0, 0], [Document::query()->count(), LogEntry::query()->count()]);
    }

    public function test_every_write_is_an_act_that_says_who_did_it(): void
    {
        // They keep nothing of the book; who signs in, and the first start, have no user yet.
        $apart = [
            'POST api/session',
            'DELETE api/session',
            'POST api/session/code',
            'POST api/session/proof',
            'POST api/setup',
            'POST api/look-alikes',
            'POST api/terms/preview',
            'POST api/parties/{party}/document-preview',
            'POST api/parties/{party}/payment-preview',
            'POST api/bulk-changes/preview',
            'POST api/merges/preview',
            'POST api/letters/to',
            'POST api/letters/preview',
            // How somebody looks at a list, and what they had open, are nobody else's concern.
            'PUT api/long-lists/{list}/look',
            'PUT api/parties/{party}/opened',
            'PUT api/parties/{party}/editing',
        ];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            foreach (array_diff($route->methods(), ['GET', 'HEAD', 'OPTIONS']) as $method) {
                if (str_starts_with($route->uri(), 'api/') && ! in_array("$method {$route->uri()}", $apart, true)) {
                    $this->assertContains(OneAct::class, Route::gatherRouteMiddleware($route), "$method {$route->uri()}");
                }
            }
        }
    }

    public function test_the_log_of_the_office_tells_from_what_to_what_and_no_secret(): void
    {
        $this->asAdministrator();
        $this->postJson('/api/users', [
            'name' => 'Ada Linden',
            'email' => 'ada@b.example',
            'role' => 'clerk',
            'password' => 'long-enough-word-1',
        ])->assertCreated();
        $this->putJson('/api/books', [
            'ageingBy' => 'document-date',
            'warnAfter' => 45,
            'lateRate' => '',
            'latePerMonth' => false,
            'keepsUsHolidays' => true,
        ])->assertOk();
        $company = $this->addCompany('Brass');
        $id = $this->postJson("/api/parties/{$company->id}/documents", $this->documentInput('invoice', '5'))
            ->assertCreated()
            ->json('row.id');
        $this->deleteJson("/api/documents/$id", ['reason' => 'mistaken', 'amount' => ''])->assertOk();
        $other = $this->addCompany('Entered by mistake');
        $this->deleteJson("/api/parties/{$other->id}")->assertNoContent();
        $acts = (array) $this->getJson('/api/acts')->assertOk()->json('acts');
        $told = implode(
            "\n",
            array_map(
                fn (array $act) => "{$act['by']}: {$act['subject']} {$act['name']} {$act['what']} ".
                    implode('; ', array_map(fn (array $one) => "{$one['label']} {$one['from']} -> {$one['to']}", $act['differences'])),
                $acts,
            ),
        );
        foreach (
            [
                'user Ada Linden added',
                'Password  -> •••• new',
                'office Orrery & Vane changed',
                'Warn after, days 30 -> 45',
                'Ageing by due date -> document’s date',
                'Total  -> USD 5.00',
                'Date  -> 24 Nov 2026',
                'document Invoice (draft) added',
                'State draft -> void',
                'record Entered by mistake deleted',
                'Name Entered by mistake -> ',
            ] as $expected
        ) {
            $this->assertStringContainsString($expected, $told);
        }
        $this->assertStringNotContainsString('$2y$', $told);
        $this->actingAs($this->user(Role::Clerk))->getJson('/api/acts')->assertForbidden();
    }
}
