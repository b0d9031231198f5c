<?php

declare(strict_types=1);

namespace App\Http\Controllers\Banking;

use Almanac\Banking\Confirmation;
use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Actions\Banking\KeepBankDetails;
use App\Actions\Records\LogChanges;
use App\Http\Data\Records\RevealedData;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Banking\BankDetailRequest;
use App\Http\Requests\Banking\CardRequest;
use App\Http\Requests\Banking\ConfirmRequest;
use App\Http\Requests\Ledger\ReasonRequest;
use App\Models\BankDetail;
use App\Models\Card;
use App\Models\Party;
use App\Models\User;
use App\Queries\Records\ReadRecord;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** Bank details and cards of a record. */
final readonly class BankController
{
    public function __construct(private KeepBankDetails $keep, private ReadRecord $read)
    {
    }

    #[
        Adds(
            'parties/{id}/bank-details',
            'addBankDetail',
            'Enter bank details; they are on hold until a second person confirms them',
            'BankDetailInput',
            'Record',
            'Banking',
        ),
    ]
    public function add(BankDetailRequest $request, Party $party, #[CurrentUser] User $user): JsonResponse
    {
        /**
         * @var array{
         *     kind: string, iban: string, bic: string, routing: string, sortCode: string, account: string, use: string,
         *     holder: string, bankName: string,
         * } $input
         */
        $input = $request->validated();
        $this->keep->add($party, $input, $user);

        return new JsonResponse($this->read->handle($party->refresh()), 201);
    }

    #[
        Adds(
            'parties/{id}/bank-details/{bankDetail}/confirm',
            'confirmBankDetail',
            'Confirm bank details that somebody else has entered',
            'ConfirmInput',
            'Record',
            'Banking',
            200,
        ),
    ]
    public function confirm(ConfirmRequest $request, Party $party, BankDetail $bankDetail, #[CurrentUser] User $user): JsonResponse
    {
        $this->keep->confirm($bankDetail, Confirmation::from($request->string('how')->toString()), $user);

        return new JsonResponse($this->read->handle($party->refresh()));
    }

    #[
        Adds(
            'parties/{id}/bank-details/{bankDetail}/reveal',
            'revealBankDetail',
            'Tell a bank account in full; it is logged',
            '',
            'Revealed',
            'Banking',
            200,
        ),
    ]
    public function reveal(Party $party, BankDetail $bankDetail, LogChanges $log, #[CurrentUser] User $user): JsonResponse
    {
        $log->handle(
            $party,
            SectionName::Bank,
            Difference::between([], ['one' => new LoggedFact(ucfirst($bankDetail->kindTitle()), 'shown, though private')]),
            $user,
        );

        return new JsonResponse(new RevealedData($bankDetail->account()?->display() ?? $bankDetail->masked));
    }

    #[
        Removes(
            'parties/{id}/bank-details/{bankDetail}',
            'refuseBankDetail',
            'Refuse what is on hold, or end what is in force',
            'ReasonInput',
            'Record',
            'Banking',
        ),
    ]
    public function refuse(ReasonRequest $request, Party $party, BankDetail $bankDetail, #[CurrentUser] User $user): JsonResponse
    {
        $this->keep->refuse($bankDetail, $request->string('reason')->toString(), $user);

        return new JsonResponse($this->read->handle($party->refresh()));
    }

    #[Adds('parties/{id}/cards', 'addCard', 'Keep a card by its token', 'CardInput', 'Record', 'Banking')]
    public function addCard(CardRequest $request, Party $party, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{number: string, expires: string, holder: string, postcode: string} $input */
        $input = $request->validated();
        $this->keep->addCard($party, $input, $user);

        return new JsonResponse($this->read->handle($party->refresh()), 201);
    }

    #[Removes('parties/{id}/cards/{card}', 'removeCard', 'Forget a card', '', 'Record', 'Banking')]
    public function removeCard(Party $party, Card $card, #[CurrentUser] User $user): JsonResponse
    {
        $this->keep->removeCard($card, $party, $user);

        return new JsonResponse($this->read->handle($party->refresh()));
    }
}
