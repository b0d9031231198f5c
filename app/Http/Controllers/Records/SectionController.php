<?php

declare(strict_types=1);

namespace App\Http\Controllers\Records;

use Almanac\Records\SectionName;
use App\Actions\Records\AddressesSection;
use App\Actions\Records\ClassificationSection;
use App\Actions\Records\DetailsSection;
use App\Actions\Records\IdentitySection;
use App\Actions\Records\PositionsSection;
use App\Actions\Records\ReachSection;
use App\Actions\Records\SaveRelations;
use App\Actions\Records\SaveSection;
use App\Actions\Records\Section;
use App\Actions\Records\TaxNumbersSection;
use App\Actions\Records\TermsSection;
use App\Actions\Records\UndoSave;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\SavesSection;
use App\Http\Requests\Records\AddressesRequest;
use App\Http\Requests\Records\ClassificationRequest;
use App\Http\Requests\Records\DetailsRequest;
use App\Http\Requests\Records\IdentityRequest;
use App\Http\Requests\Records\PositionsRequest;
use App\Http\Requests\Records\ReachRequest;
use App\Http\Requests\Records\RelationsRequest;
use App\Http\Requests\Records\SectionRequest;
use App\Http\Requests\Records\TaxNumbersRequest;
use App\Http\Requests\Records\TermsRequest;
use App\Http\Requests\Records\UndoRequest;
use App\Models\Party;
use App\Models\User;
use App\Queries\Records\ReadRecord;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Saves the sections of a record, and takes the last save back; each answers with the whole record as it is then. */
final readonly class SectionController
{
    public function __construct(private SaveSection $save, private ReadRecord $read)
    {
    }

    #[SavesSection('identity', 'saveIdentity', 'IdentityInput')]
    public function identity(IdentityRequest $request, Party $party, IdentitySection $section): JsonResponse
    {
        return $this->save($section, $party, $request);
    }

    #[SavesSection('reach', 'saveReach', 'ReachInput')]
    public function reach(ReachRequest $request, Party $party, ReachSection $section): JsonResponse
    {
        return $this->save($section, $party, $request);
    }

    #[SavesSection('addresses', 'saveAddresses', 'AddressesInput')]
    public function addresses(AddressesRequest $request, Party $party, AddressesSection $section): JsonResponse
    {
        return $this->save($section, $party, $request);
    }

    #[SavesSection('positions', 'savePositions', 'PositionsInput')]
    public function positions(PositionsRequest $request, Party $party, PositionsSection $section): JsonResponse
    {
        return $this->save($section, $party, $request);
    }

    #[SavesSection('relations', 'saveRelations', 'RelationsInput')]
    public function relations(RelationsRequest $request, Party $party, SaveRelations $save, #[CurrentUser] User $user): JsonResponse
    {
        $save->handle($party, $request->section(), $request->version(), $user);

        return new JsonResponse($this->read->handle($party));
    }

    #[SavesSection('classification', 'saveClassification', 'ClassificationInput')]
    public function classification(ClassificationRequest $request, Party $party, ClassificationSection $section): JsonResponse
    {
        return $this->save($section, $party, $request);
    }

    #[SavesSection('details', 'saveDetails', 'DetailsInput')]
    public function details(DetailsRequest $request, Party $party, DetailsSection $section): JsonResponse
    {
        return $this->save($section, $party, $request);
    }

    #[SavesSection('tax-numbers', 'saveTaxNumbers', 'TaxNumbersInput')]
    public function taxNumbers(TaxNumbersRequest $request, Party $party, TaxNumbersSection $section): JsonResponse
    {
        return $this->save($section, $party, $request);
    }

    #[SavesSection('client-terms', 'saveClientTerms', 'TermsInput')]
    public function clientTerms(TermsRequest $request, Party $party): JsonResponse
    {
        return $this->save(TermsSection::whenWeBillThem(), $party, $request);
    }

    #[SavesSection('vendor-terms', 'saveVendorTerms', 'TermsInput')]
    public function vendorTerms(TermsRequest $request, Party $party): JsonResponse
    {
        return $this->save(TermsSection::whenWePayThem(), $party, $request);
    }

    #[
        Adds(
            'parties/{id}/sections/{section}/undo',
            'undoSection',
            'Take the last save of a section back',
            'UndoInput',
            'Record',
            'Records',
            200,
        ),
    ]
    public function undo(UndoRequest $request, Party $party, string $section, UndoSave $undo, #[CurrentUser] User $user): JsonResponse
    {
        $name = SectionName::tryFrom($section) ?? throw new NotFoundHttpException;
        $undo->handle($party, $name, $request->version(), $user, $request->following());

        return new JsonResponse($this->read->handle($party));
    }

    private function save(Section $section, Party $party, SectionRequest $request): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        $this->save->handle($section, $party, $request->section(), $request->version(), $user, $request->following());

        return new JsonResponse($this->read->handle($party));
    }
}
