<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ledger;

use App\Actions\Ledger\ForEngagement;
use App\Actions\Ledger\TakePayment;
use App\Http\Data\Ledger\PaymentData;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Ledger\AllocationsRequest;
use App\Http\Requests\Ledger\ForEngagementRequest;
use App\Http\Requests\Ledger\LedgerRequest;
use App\Http\Requests\Ledger\PaymentPreviewRequest;
use App\Http\Requests\Ledger\PaymentRequest;
use App\Http\Requests\Ledger\ReasonRequest;
use App\Models\Allocation;
use App\Models\Party;
use App\Models\Payment;
use App\Models\User;
use App\Queries\Ledger\ListLedger;
use App\Queries\Ledger\PreviewPayment;
use App\Queries\Ledger\ReadDocument;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** Money that came and went, and what it was used on. */
final readonly class PaymentsController
{
    public function __construct(private TakePayment $take)
    {
    }

    #[
        Reads('payments', 'listPayments', 'Payments, the newest first', 'PaymentPage', 'Ledger', LedgerRequest::class),
    ]
    public function index(LedgerRequest $request, ListLedger $list): JsonResponse
    {
        return new JsonResponse($list->payments($request->wanted(), $request->integer('page', 1)));
    }

    #[Reads('payments/{payment}', 'readPayment', 'A payment, and what it was used on', 'Payment', 'Ledger')]
    public function show(Payment $payment): JsonResponse
    {
        return new JsonResponse(PaymentData::of($payment));
    }

    #[
        Adds(
            'parties/{id}/payment-preview',
            'previewPayment',
            'What money can be used on, with the discounts of that day and a proposal, the oldest first',
            'PaymentPreviewInput',
            'PaymentPreview',
            'Ledger',
            200,
        ),
    ]
    public function preview(PaymentPreviewRequest $request, Party $party, PreviewPayment $preview): JsonResponse
    {
        return new JsonResponse($preview->handle($party, $request->preview()));
    }

    #[Adds('parties/{id}/payments', 'takePayment', 'Enter money that came or went', 'PaymentInput', 'Payment', 'Ledger')]
    public function take(PaymentRequest $request, Party $party, #[CurrentUser] User $user): JsonResponse
    {
        /**
         * @var array{
         *     side: string, day: string, amount: string, currency: string, payBy: string, reference: string,
         *     bankDetailId?: int|null, firstId?: int|null,
         *     allocations: list<array{documentId: int, amount: string, discount: string}>|null,
         * } $input
         */
        $input = $request->validated();

        return new JsonResponse(PaymentData::of($this->take->take($party, $input, $user)), 201);
    }

    #[
        Adds(
            'payments/{payment}/allocations',
            'allocatePayment',
            'Use what is left of a payment on documents',
            'AllocationsInput',
            'Payment',
            'Ledger',
            200,
        ),
    ]
    public function use(AllocationsRequest $request, Payment $payment, #[CurrentUser] User $user): JsonResponse
    {
        $this->take->allocate($payment, $request->allocations(), $user);

        return new JsonResponse(PaymentData::of($payment->refresh()));
    }

    #[
        Removes(
            'payments/{payment}',
            'voidPayment',
            'Make a payment void; what it settled is open again',
            'ReasonInput',
            'Payment',
            'Ledger',
        ),
    ]
    public function void(ReasonRequest $request, Payment $payment, #[CurrentUser] User $user): JsonResponse
    {
        $this->take->void($payment, $request->string('reason')->toString(), $user);

        return new JsonResponse(PaymentData::of($payment->refresh()));
    }

    #[
        Removes(
            'allocations/{allocation}',
            'takeBackAllocation',
            'Take back one use of money or of a credit, a discount or a write-off',
            '',
            'Document',
            'Ledger',
        ),
    ]
    public function takeBack(Allocation $allocation, ReadDocument $read, #[CurrentUser] User $user): JsonResponse
    {
        $document = $allocation->document;
        $this->take->takeBack($allocation, $user);

        return new JsonResponse($read->handle($document->refresh()));
    }

    #[Puts(
        'payments/{payment}/engagement', 'putPaymentToEngagement', 'Say which case or project a payment is for',
        'ForEngagementInput', 'Payment', 'Ledger',
    )]
    public function forEngagement(ForEngagementRequest $request, Payment $payment, ForEngagement $put): JsonResponse
    {
        $put->payment($payment, $request->engagementId());

        return new JsonResponse(PaymentData::of($payment));
    }
}
