<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\BankDetail;
use App\Models\Card;
use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class BankDetailsTest extends TestCase
{
    private Party $vendor;

    private User $clerk;

    private User $approver;

    protected function setUp(): void
    {
        parent::setUp();
        $this->vendor = $this->addCompany('Brass Lantern', ['isVendor' => true]);
        $this->clerk = $this->user(Role::Clerk);
        $this->approver = $this->user(Role::Approver);
    }

    public function test_new_details_are_on_hold_until_a_second_person_confirms_them(): void
    {
        $this->actingAs($this->clerk);
        $id = $this->add()
            ->assertCreated()
            ->assertJsonPath('bank.current.0.state', 'on-hold')
            ->assertJsonPath('bank.current.0.masked', '•••• 3000')
            ->assertJsonPath('bank.current.0.mayBeConfirmed', false)
            ->assertJsonPath('readiness.1.checks.3.todo', 'Let a second person confirm the new bank details.')
            ->json('bank.current.0.id');
        $this->pay($this->vendor, '5', [], ['side' => 'vendor', 'payBy' => 'transfer'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', [
                'field' => 'payBy',
                'message' => 'Their bank details are on hold until a second person confirms them. Nothing is paid by transfer before that.',
            ]);
        $this->pay($this->vendor, '5', [], ['side' => 'vendor', 'payBy' => 'cheque'])->assertCreated();
        $this->confirm($id)->assertForbidden();
        $this->actingAs($this->approver)
            ->getJson("/api/parties/{$this->vendor->id}")
            ->assertJsonPath('bank.current.0.mayBeConfirmed', true);
        $this->postJson("/api/parties/{$this->vendor->id}/bank-details/$id/confirm", ['how' => ''])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'how', 'message' => 'Say how you made sure.']);
        $this->confirm($id)
            ->assertOk()
            ->assertJsonPath('bank.current.0.state', 'confirmed')
            ->assertJsonPath('bank.current.0.decidedText', 'confirmed on 24 Nov 2026 by Approver: called a number known before');
        $this->pay($this->vendor, '5', [], ['side' => 'vendor', 'payBy' => 'transfer'])
            ->assertCreated()
            ->assertJsonPath('row.toAccount', 'IBAN •••• 3000');
        $this->confirm($id)
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'There is nothing on hold here any more. Somebody may have settled it meanwhile.');
        $this->assertStringContainsString('called a number known before', implode($this->changesOf($this->vendor)));
    }

    public function test_nobody_confirms_their_own_entry_whatever_their_role(): void
    {
        foreach ([$this->administrator, $this->approver] as $user) {
            $id = $this->actingAs($user)
                ->add(['iban' => $user === $this->approver ? 'GB29NWBK60161331926819' : 'DE89370400440532013000'])
                ->assertCreated()
                ->json('bank.current.0.id');
            $this->confirm($id)
                ->assertUnprocessable()
                ->assertJsonPath('detail', 'Whoever entered the details cannot confirm them. Ask a second person.');
        }
    }

    public function test_a_change_replaces_and_the_history_stays(): void
    {
        $first = $this->actingAs($this->clerk)->add()->json('bank.current.0.id');
        $this->actingAs($this->approver);
        $this->confirm($first)->assertOk();
        $second = $this->actingAs($this->clerk)
            ->add(['iban' => 'CH9300762011623852957'])
            ->assertCreated()
            ->assertJsonPath('bank.current.*.state', ['on-hold', 'confirmed'])
            ->json('bank.current.0.id');
        $this->add()
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'iban', 'message' => 'That account is on the record already.']);
        $this->actingAs($this->approver);
        $this->confirm($second)
            ->assertOk()
            ->assertJsonPath('bank.current.*.masked', ['•••• 2957'])
            ->assertJsonPath('bank.history.*.state', ['replaced']);
        $this->assertSame(2, BankDetail::query()->count());
    }

    public function test_the_end_of_what_is_in_force_needs_a_second_person_too(): void
    {
        $id = $this->actingAs($this->clerk)->add()->json('bank.current.0.id');
        $this->actingAs($this->approver);
        $this->confirm($id)->assertOk();
        // Whoever entered them cannot end them alone, and nothing is paid to them while it is open.
        $this->actingAs($this->clerk);
        $this->refuse($id, 'account closed')
            ->assertOk()
            ->assertJsonPath('bank.current.0.state', 'ending')
            ->assertJsonPath('bank.current.0.endText', 'its end was asked for by Clerk: account closed');
        $this->pay($this->vendor, '5', [], ['side' => 'vendor', 'payBy' => 'transfer'])->assertUnprocessable();
        $this->getJson("/api/parties/{$this->vendor->id}/document-defaults?kind=bill")
            ->assertJsonPath('payTo.0.text', null)
            ->assertJsonPath('closedWays.0.way', 'transfer');
        // Taken back, it is in force again; asked for by the approver, another one has to agree.
        $this->refuse($id, 'still open')->assertOk()->assertJsonPath('bank.current.0.state', 'confirmed');
        $this->actingAs($this->approver);
        $this->refuse($id, 'closed')->assertOk();
        $this->confirm($id)
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'Whoever asked for the end cannot agree to it. Ask a second person.');
        $this->asAdministrator();
        $this->confirm($id)->assertOk()->assertJsonPath('bank.current', [])->assertJsonPath('bank.history.0.state', 'ended');
        $this->confirm($id)->assertUnprocessable();
    }

    public function test_a_transfer_goes_to_confirmed_details_and_remembers_them(): void
    {
        $pay = fn (array $more = []) => $this->pay($this->vendor, '5', [], $more + ['side' => 'vendor', 'payBy' => 'transfer']);
        $pay()
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.0.message',
                'They have no confirmed bank details. Add them and have a second person confirm them, or pay in another way.',
            );
        $iban = $this->actingAs($this->clerk)->add()->json('bank.current.0.id');
        $us = $this->add(['kind' => 'us', 'routing' => '021000021', 'account' => '123456789'])->json('bank.current.0.id');
        $this->actingAs($this->approver);
        $this->confirm($iban)->assertOk();
        $pay()->assertUnprocessable();
        $this->confirm($us)->assertOk();
        $pay()->assertCreated()->assertJsonPath('row.toAccount', 'US account •••• 6789');
        $pay(['bankDetailId' => $iban])->assertCreated()->assertJsonPath('row.toAccount', 'IBAN •••• 3000');
        $other = $this->addCompany('Other', ['isVendor' => true]);
        $this->pay($other, '5', [], ['side' => 'vendor', 'payBy' => 'transfer', 'bankDetailId' => $iban])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'payBy');
    }

    public function test_a_document_is_made_out_to_the_name_that_is_in_force(): void
    {
        $identity = ['name' => 'Brass Lantern', 'legal' => '', 'payee' => 'Lantern Holdings', 'isClient' => false, 'isVendor' => true];
        $this->saveSection($this->vendor, 'identity', $identity)->assertOk();
        $this->getJson("/api/parties/{$this->vendor->id}/document-defaults?kind=purchase-order")->assertJsonPath(
            'copy.payee',
            'Brass Lantern',
        );
        $id = BankDetail::query()->value('id');
        $this->actingAs($this->approver);
        $this->confirm($id)->assertOk();
        $this->getJson("/api/parties/{$this->vendor->id}/document-defaults?kind=purchase-order")->assertJsonPath(
            'copy.payee',
            'Lantern Holdings',
        );
    }

    public function test_a_new_payee_name_of_a_vendor_is_on_hold_too(): void
    {
        $this->saveSection($this->vendor, 'identity', [
            'name' => 'Brass Lantern',
            'legal' => '',
            'payee' => 'Lantern Holdings',
            'isClient' => false,
            'isVendor' => true,
        ])
            ->assertOk()
            ->assertJsonPath('bank.current.0.kind', 'payee')
            ->assertJsonPath('bank.current.0.masked', 'Lantern Holdings');
        $this->pay($this->vendor, '5', [], ['side' => 'vendor', 'payBy' => 'transfer'])
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.0.message',
                'Their new payee name is on hold until a second person confirms it. Nothing is paid to it before that.',
            );
        $client = $this->addCompany('Client', ['isClient' => true]);
        $this->saveSection($client, 'identity', [
            'name' => 'Client',
            'legal' => '',
            'payee' => 'C',
            'isClient' => true,
            'isVendor' => false,
        ])
            ->assertOk()
            ->assertJsonPath('bank.current', []);
    }

    public function test_numbers_are_encrypted_masked_and_told_on_request(): void
    {
        $id = $this->add()->json('bank.current.0.id');
        foreach (['bank_details', 'changes'] as $table) {
            $this->assertStringNotContainsString('0440532013000', (string) json_encode(DB::table($table)->get()));
        }
        $reveal = "/api/parties/{$this->vendor->id}/bank-details/$id/reveal";
        $this->postJson($reveal)->assertExactJson(['value' => 'DE89 3704 0044 0532 0130 00']);
        $this->assertSame('IBAN:  -> shown, though private', $this->changesOf($this->vendor)[0]);
        $this->actingAs($this->user(Role::Reader))->postJson($reveal)->assertForbidden();
        $other = $this->asAdministrator()->addCompany('Other');
        $this->postJson("/api/parties/{$other->id}/bank-details/$id/reveal")->assertNotFound();
    }

    public function test_a_number_with_letters_is_told_at_its_field(): void
    {
        $this->add(['kind' => 'us', 'routing' => '021000021', 'account' => '12E4'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', [
                'field' => 'account',
                'message' => 'That is not a valid account number: it is written like 4 to 17 digits.',
            ]);
        $this->add(['iban' => 'DE8937040044053201300O'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'iban');
        $this->assertSame(0, BankDetail::query()->count());
    }

    public function test_of_a_card_only_its_end_is_kept(): void
    {
        $card = ['number' => '4111 1111 1111 1111', 'expires' => '04/28', 'holder' => 'Ada Finch', 'postcode' => '05301'];
        $path = "/api/parties/{$this->vendor->id}/cards";
        $this->postJson($path, ['number' => '4111 1111 1111 1112'] + $card)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'number');
        $this->postJson($path, ['expires' => '10/26'] + $card)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'expires', 'message' => 'That card has expired. Ask for the new one.']);
        $this->postJson($path, ['expires' => '13/28'] + $card)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'expires');
        $this->postJson($path, $card)
            ->assertCreated()
            ->assertJsonPath('bank.cards.0.brand', 'Visa')
            ->assertJsonPath('bank.cards.0.lastFour', '1111')
            ->assertJsonPath('bank.cards.0.expires', '04/2028');
        $this->postJson($path, $card)->assertCreated();
        $this->assertSame(1, Card::query()->distinct()->count('token'), 'the vault knows it again');
        foreach (['cards', 'vault_tokens', 'changes'] as $table) {
            $this->assertStringNotContainsString('4111111111111111', str_replace(' ', '', (string) json_encode(DB::table($table)->get())));
        }
        $this->deleteJson("$path/".Card::query()->value('id'))->assertOk()->assertJsonCount(1, 'bank.cards');
    }

    /**
     * @param array<string, string> $more
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function add(array $more = []): TestResponse
    {
        return $this->postJson(
            "/api/parties/{$this->vendor->id}/bank-details",
            $more + [
                'kind' => 'iban',
                'iban' => 'DE89 3704 0044 0532 0130 00',
                'bic' => '',
                'routing' => '',
                'sortCode' => '',
                'account' => '',
                'use' => 'checking',
                'holder' => '',
                'bankName' => '',
            ],
        );
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function refuse(mixed $id, string $reason): TestResponse
    {
        return $this->deleteJson("/api/parties/{$this->vendor->id}/bank-details/".(is_int($id) ? $id : 0), [
            'reason' => $reason,
            'amount' => '',
        ]);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function confirm(mixed $id): TestResponse
    {
        return $this->postJson("/api/parties/{$this->vendor->id}/bank-details/".(is_int($id) ? $id : 0).'/confirm', [
            'how' => 'call',
        ]);
    }
}
