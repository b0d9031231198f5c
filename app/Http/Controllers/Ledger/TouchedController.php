<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ledger;

use App\Actions\Ledger\TakeNewDetails;
use App\Actions\Records\AddressesSection;
use App\Actions\Records\IdentitySection;
use App\Actions\Records\MoveAddress;
use App\Actions\Records\SaveSection;
use App\Actions\Records\Section;
use App\Actions\Records\TaxNumbersSection;
use App\Actions\Records\TermsSection;
use App\Http\OpenApi\Adds;
use App\Http\Requests\Ledger\FollowRequest;
use App\Http\Requests\Records\AddressesRequest;
use App\Http\Requests\Records\IdentityRequest;
use App\Http\Requests\Records\MoveRequest;
use App\Http\Requests\Records\SectionRequest;
use App\Http\Requests\Records\TaxNumbersRequest;
use App\Http\Requests\Records\TermsRequest;
use App\Models\AddressUse;
use App\Models\Party;
use App\Models\User;
use App\Queries\Ledger\ListTouched;
use App\Queries\Records\ReadRecord;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** Says, before a section is saved, which documents carry what it changes; and lets them follow. */
final readonly class TouchedController
{
    public function __construct(private SaveSection $save, private ListTouched $touched)
    {
    }

    #[
        Adds(
            'parties/{id}/touched/identity',
            'touchedByIdentity',
            'Which documents carry what saving the name would change; nothing is saved',
            'IdentityInput',
            'TouchedDocuments',
            'Ledger',
            200,
        ),
    ]
    public function identity(IdentityRequest $request, Party $party, IdentitySection $section): JsonResponse
    {
        return $this->touched($section, $party, $request);
    }

    #[
        Adds(
            'parties/{id}/touched/addresses',
            'touchedByAddresses',
            'Which documents carry what saving the addresses would change; nothing is saved',
            'AddressesInput',
            'TouchedDocuments',
            'Ledger',
            200,
        ),
    ]
    public function addresses(AddressesRequest $request, Party $party, AddressesSection $section): JsonResponse
    {
        return $this->touched($section, $party, $request);
    }

    #[
        Adds(
            'parties/{id}/touched/addresses/{addressUse}',
            'touchedByMove',
            'Which documents carry what moving would change; nothing is saved',
            'MoveInput',
            'TouchedDocuments',
            'Ledger',
            200,
        ),
    ]
    public function move(MoveRequest $request, Party $party, AddressUse $addressUse, MoveAddress $move): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        $input = $request->place();

        return new JsonResponse(
            $this->touched->handle(
                $move->whoIsThere($party, $addressUse, $input['everybody']),
                fn () => $move->handle($party, $addressUse, $input, [], $user),
            ),
        );
    }

    #[
        Adds(
            'parties/{id}/touched/tax-numbers',
            'touchedByTaxNumbers',
            'Which documents carry what saving the tax numbers would change; nothing is saved',
            'TaxNumbersInput',
            'TouchedDocuments',
            'Ledger',
            200,
        ),
    ]
    public function taxNumbers(TaxNumbersRequest $request, Party $party, TaxNumbersSection $section): JsonResponse
    {
        return $this->touched($section, $party, $request);
    }

    #[
        Adds(
            'parties/{id}/touched/client-terms',
            'touchedByClientTerms',
            'Which documents carry what saving the terms would change; nothing is saved',
            'TermsInput',
            'TouchedDocuments',
            'Ledger',
            200,
        ),
    ]
    public function clientTerms(TermsRequest $request, Party $party): JsonResponse
    {
        return $this->touched(TermsSection::whenWeBillThem(), $party, $request);
    }

    #[
        Adds(
            'parties/{id}/touched/vendor-terms',
            'touchedByVendorTerms',
            'Which documents carry what saving the terms would change; nothing is saved',
            'TermsInput',
            'TouchedDocuments',
            'Ledger',
            200,
        ),
    ]
    public function vendorTerms(TermsRequest $request, Party $party): JsonResponse
    {
        return $this->touched(TermsSection::whenWePayThem(), $party, $request);
    }

    #[
        Adds(
            'parties/{id}/follow',
            'takeNewDetails',
            'Let drafts and open documents carry the details as they are now',
            'FollowInput',
            'Record',
            'Ledger',
            200,
        ),
    ]
    public function follow(
        FollowRequest $request,
        Party $party,
        TakeNewDetails $take,
        ReadRecord $read,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $take->handle($party, $request->ids(), $request->boolean('withTerms'), $user);

        return new JsonResponse($read->handle($party->refresh()));
    }

    private function touched(Section $section, Party $party, SectionRequest $request): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();

        return new JsonResponse(
            $this->touched->handle(
                [$party],
                fn () => $this->save->handle(
                    $section,
                    Party::query()->findOrFail($party->id),
                    $request->section(),
                    $request->version(),
                    $user,
                ),
            ),
        );
    }
}
