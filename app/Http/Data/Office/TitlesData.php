<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use Almanac\Access\Role;
use Almanac\Addresses\AddressUse;
use Almanac\Banking\AccountKind;
use Almanac\Banking\AccountUse;
use Almanac\Banking\Confirmation;
use Almanac\Banking\PayBy;
use Almanac\Bulk\BulkKind;
use Almanac\Cautions\CautionLevel;
use Almanac\Cautions\CautionUse;
use Almanac\Conflicts\Decision;
use Almanac\Conflicts\Degree;
use Almanac\Details\FieldKind;
use Almanac\Engagements\EngagementLink;
use Almanac\Engagements\StageKind;
use Almanac\Files\FileKind;
use Almanac\Ledger\AccountKind as LedgerAccountKind;
use Almanac\Ledger\AgeingBucket;
use Almanac\Ledger\AgeingBy;
use Almanac\Ledger\CreditPolicy;
use Almanac\Ledger\Delivery;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\ListedState;
use Almanac\Ledger\TaxTreatment;
use Almanac\Lists\ListView;
use Almanac\Mailing\LetterWay;
use Almanac\Mailing\MailSecurity;
use Almanac\Names\TogetherAs;
use Almanac\Reach\ContactUse;
use Almanac\Records\LogKind;
use Almanac\Records\StreamFilter;
use Almanac\TaxIds\ReportChoice;
use Almanac\TaxIds\TaxIdKind;
use Almanac\Terms\Side;
use App\Http\OpenApi\TitledCodes;
use OpenApi\Attributes as OA;

/** What stands to choose from wherever there are a few of a kind: each by its code, with its title. */
#[OA\Schema(schema: 'Titles')]
final readonly class TitlesData
{
    /**
     * @param list<NamedCodeData> $addressUses
     * @param list<NamedCodeData> $contactUses
     * @param list<NamedCodeData> $taxNumberKinds
     * @param list<NamedCodeData> $reportChoices
     * @param list<NamedCodeData> $together
     * @param list<NamedCodeData> $cautionLevels
     * @param list<NamedCodeData> $cautionUses
     * @param list<NamedCodeData> $entryKinds
     * @param list<NamedCodeData> $streamFilters
     * @param list<NamedCodeData> $fileKinds
     * @param list<NamedCodeData> $bankAccountKinds
     * @param list<NamedCodeData> $bankAccountUses
     * @param list<NamedCodeData> $confirmations
     * @param list<NamedCodeData> $waysToPay
     * @param list<NamedCodeData> $documentKinds
     * @param list<NamedCodeData> $writtenKinds
     * @param list<NamedCodeData> $treatments
     * @param list<NamedCodeData> $deliveries
     * @param list<NamedCodeData> $creditPolicies
     * @param list<NamedCodeData> $ageingBy
     * @param list<NamedCodeData> $accountKinds
     * @param list<NamedCodeData> $fieldKinds
     * @param list<NamedCodeData> $listedStates
     * @param list<NamedCodeData> $ageingBuckets
     * @param list<NamedCodeData> $sides
     * @param list<NamedCodeData> $listViews
     * @param list<NamedCodeData> $roles
     * @param list<NamedCodeData> $stageMeanings
     * @param list<NamedCodeData> $engagementLinks
     * @param list<NamedCodeData> $decisions
     * @param list<NamedCodeData> $degrees
     * @param list<NamedCodeData> $bulkKinds
     * @param list<NamedCodeData> $letterWays
     * @param list<NamedCodeData> $mailSecurities
     */
    private function __construct(
        #[OA\Property(items: new TitledCodes(AddressUse::class))] public array $addressUses,
        #[OA\Property(items: new TitledCodes(ContactUse::class))] public array $contactUses,
        #[OA\Property(items: new TitledCodes(TaxIdKind::class))] public array $taxNumberKinds,
        #[OA\Property(items: new TitledCodes(ReportChoice::class))] public array $reportChoices,
        #[OA\Property(items: new TitledCodes(TogetherAs::class))] public array $together,
        #[OA\Property(items: new TitledCodes(CautionLevel::class))] public array $cautionLevels,
        #[OA\Property(items: new TitledCodes(CautionUse::class))] public array $cautionUses,
        #[OA\Property(items: new TitledCodes(LogKind::class))] public array $entryKinds,
        #[OA\Property(items: new TitledCodes(StreamFilter::class))] public array $streamFilters,
        #[OA\Property(items: new TitledCodes(FileKind::class))] public array $fileKinds,
        #[OA\Property(items: new TitledCodes(AccountKind::class))] public array $bankAccountKinds,
        #[OA\Property(items: new TitledCodes(AccountUse::class))] public array $bankAccountUses,
        #[OA\Property(items: new TitledCodes(Confirmation::class))] public array $confirmations,
        #[OA\Property(items: new TitledCodes(PayBy::class))] public array $waysToPay,
        #[OA\Property(items: new TitledCodes(DocumentKind::class))] public array $documentKinds,
        #[OA\Property(description: 'Of documents that somebody writes.', items: new TitledCodes(DocumentKind::class))]
        public array $writtenKinds,
        #[OA\Property(items: new TitledCodes(TaxTreatment::class))] public array $treatments,
        #[OA\Property(items: new TitledCodes(Delivery::class))] public array $deliveries,
        #[OA\Property(items: new TitledCodes(CreditPolicy::class))] public array $creditPolicies,
        #[OA\Property(items: new TitledCodes(AgeingBy::class))] public array $ageingBy,
        #[OA\Property(items: new TitledCodes(LedgerAccountKind::class))] public array $accountKinds,
        #[OA\Property(items: new TitledCodes(FieldKind::class))] public array $fieldKinds,
        #[OA\Property(items: new TitledCodes(ListedState::class))] public array $listedStates,
        #[OA\Property(items: new TitledCodes(AgeingBucket::class))] public array $ageingBuckets,
        #[OA\Property(items: new TitledCodes(Side::class))] public array $sides,
        #[OA\Property(items: new TitledCodes(ListView::class))] public array $listViews,
        #[OA\Property(items: new TitledCodes(Role::class))] public array $roles,
        #[OA\Property(items: new TitledCodes(StageKind::class))] public array $stageMeanings,
        #[OA\Property(items: new TitledCodes(EngagementLink::class))] public array $engagementLinks,
        #[OA\Property(items: new TitledCodes(Decision::class))] public array $decisions,
        #[OA\Property(items: new TitledCodes(Degree::class))] public array $degrees,
        #[OA\Property(items: new TitledCodes(BulkKind::class))] public array $bulkKinds,
        #[OA\Property(items: new TitledCodes(LetterWay::class))] public array $letterWays,
        #[OA\Property(items: new TitledCodes(MailSecurity::class))] public array $mailSecurities,
    ) {
    }

    /** @param  string  $country of the office: ISO 3166-1 alpha-2 */
    public static function in(string $country, AgeingBy $ageing): self
    {
        return new self(
            NamedCodeData::titled(AddressUse::cases()),
            NamedCodeData::titled(ContactUse::cases()),
            NamedCodeData::titled(TaxIdKind::cases()),
            NamedCodeData::titled(ReportChoice::cases()),
            NamedCodeData::titled(TogetherAs::cases()),
            NamedCodeData::titled(CautionLevel::cases()),
            NamedCodeData::titled(CautionUse::cases()),
            NamedCodeData::titled(LogKind::cases()),
            NamedCodeData::titled(StreamFilter::cases()),
            NamedCodeData::titled(FileKind::cases()),
            NamedCodeData::titled(AccountKind::cases()),
            NamedCodeData::titled(AccountUse::cases()),
            NamedCodeData::titled(Confirmation::cases()),
            NamedCodeData::titled(PayBy::cases(), fn (PayBy $way) => $way->titleIn($country)),
            NamedCodeData::titled(DocumentKind::cases(), fn (DocumentKind $kind) => $kind->titleInList()),
            NamedCodeData::titled(array_merge(...array_map(DocumentKind::written(...), Side::cases()))),
            NamedCodeData::titled(TaxTreatment::cases()),
            NamedCodeData::titled(Delivery::cases()),
            NamedCodeData::titled(CreditPolicy::cases()),
            NamedCodeData::titled(AgeingBy::cases()),
            NamedCodeData::titled(LedgerAccountKind::cases()),
            NamedCodeData::titled(FieldKind::cases()),
            NamedCodeData::titled(ListedState::ofDocuments()),
            NamedCodeData::titled(AgeingBucket::cases(), fn (AgeingBucket $bucket) => $bucket->title($ageing)),
            NamedCodeData::titled(Side::cases(), fn (Side $side) => $side->balance()),
            NamedCodeData::titled(ListView::cases()),
            NamedCodeData::titled(Role::cases()),
            NamedCodeData::titled(StageKind::cases()),
            NamedCodeData::titled(EngagementLink::cases()),
            NamedCodeData::titled(Decision::cases()),
            NamedCodeData::titled(Degree::cases()),
            NamedCodeData::titled(BulkKind::cases()),
            NamedCodeData::titled(LetterWay::cases()),
            NamedCodeData::titled(MailSecurity::cases()),
        );
    }
}
