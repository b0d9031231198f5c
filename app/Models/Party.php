<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Finding\Fold;
use Almanac\Mailing\OptOut;
use Almanac\Names\Addressing;
use Almanac\Names\CompanyName;
use Almanac\Names\PersonName;
use Almanac\Records\PartyKind;
use Almanac\Records\SubjectKind;
use Almanac\TaxIds\ReportChoice;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/**
 * A person or a company.
 *
 * @property PartyKind $kind
 * @property int $number the office's own number for the record
 * @property string $prefix
 * @property string $given
 * @property string $middle
 * @property string $family
 * @property string $suffix
 * @property string $preferred
 * @property string $pronouns
 * @property string $post_nominals
 * @property bool $is_informal whether the office is on first-name terms with the person
 * @property bool $is_deceased
 * @property Day|null $deceased_on where the day is known
 * @property string $company_name
 * @property string $legal_name
 * @property string $display_name
 * @property string $file_as
 * @property string $sort_key
 * @property bool $is_client
 * @property bool $is_vendor
 * @property string|null $born_on ISO 8601, encrypted at rest
 * @property string $payee_name of a company: the name on a payment, when it is another
 * @property string $legal_form
 * @property string $registration_number
 * @property string $industry
 * @property int|null $owner_id the colleague who looks after the record
 * @property int|null $account_manager_id
 * @property int|null $buyer_id
 * @property string $source
 * @property string $language ISO 639, as letters are written in
 * @property int|null $grade 1 to 5; it never leaves the office
 * @property Day|null $no_letters_on since when they want no letters
 * @property string $no_letters_how how they said so
 * @property Day|null $form_on when form W-9 came in
 * @property string $form_by who signed it
 * @property int|null $form_file_id
 * @property ReportChoice $report_choice whether what they are paid goes into the tax report
 * @property bool $is_attorney
 * @property-read Collection<int, Relation> $relationsFrom
 * @property-read Collection<int, Relation> $relationsTo
 * @property-read User|null $owner
 * @property-read User|null $accountManager
 * @property-read User|null $buyer
 * @property-read Collection<int, ListItem> $listItems
 * @property-read Collection<int, PartyCode> $codes
 * @property-read Collection<int, TaxNumber> $taxNumbers
 * @property-read Collection<int, DetailValue> $detailValues
 * @property-read Collection<int, ContactPoint> $contactPoints
 * @property-read Collection<int, AddressUse> $addressUses
 * @property-read Collection<int, Position> $heldPositions
 * @property-read Collection<int, Position> $staffPositions
 * @property-read ClientTerms|null $clientTerms
 * @property-read VendorTerms|null $vendorTerms
 * @property-read Collection<int, BankDetail> $bankDetails
 * @property-read Collection<int, Card> $cards
 * @property-read Balance|null $balance
 * @property-read Change|null $firstChange
 * @property-read Collection<int, RecordUse> $uses
 * @property-read Change|null $lastChange
 * @property-read Collection<int, EngagementParty> $engagementParties
 * @property-read Collection<int, Document> $documents
 * @property-read Collection<int, Document> $openings
 * @property-read Collection<int, Payment> $payments
 * @property-read Collection<int, LogEntry> $logEntries
 * @property-read Collection<int, Caution> $cautions
 * @property-read Collection<int, File> $files
 * @property-read Collection<int, FormerRecord> $formerRecords
 */
final class Party extends SubjectModel
{
    use BooksOfParty;
    use SectionsOfParty;

    protected $table = 'parties';

    protected $attributes = [
        'prefix' => '',
        'given' => '',
        'middle' => '',
        'family' => '',
        'suffix' => '',
        'preferred' => '',
        'pronouns' => '',
        'post_nominals' => '',
        'is_informal' => false,
        'is_deceased' => false,
        'deceased_on' => null,
        'born_on' => null,
        'archived_on' => null,
        'archive_reason' => '',
        'payee_name' => '',
        'legal_form' => '',
        'registration_number' => '',
        'industry' => '',
        'owner_id' => null,
        'account_manager_id' => null,
        'buyer_id' => null,
        'source' => '',
        'language' => '',
        'grade' => null,
        'no_letters_on' => null,
        'no_letters_how' => '',
        'form_on' => null,
        'form_by' => '',
        'form_file_id' => null,
        'report_choice' => 'by-rule',
        'is_attorney' => false,
        'company_name' => '',
        'legal_name' => '',
        'is_client' => false,
        'is_vendor' => false,
    ];

    protected function casts(): array
    {
        return [
            'kind' => PartyKind::class,
            'is_client' => 'boolean',
            'is_vendor' => 'boolean',
            'is_informal' => 'boolean',
            'is_deceased' => 'boolean',
            'deceased_on' => DayCast::class,
            'born_on' => 'encrypted',
            'archived_on' => DayCast::class,
            'no_letters_on' => DayCast::class,
            'form_on' => DayCast::class,
            'report_choice' => ReportChoice::class,
            'is_attorney' => 'boolean',
        ];
    }

    public static function subjectKind(): SubjectKind
    {
        return SubjectKind::Party;
    }

    /** That they want no letters; null where they take them. */
    public function optOut(): ?OptOut
    {
        return $this->no_letters_on === null ? null : OptOut::of($this->no_letters_on, $this->no_letters_how);
    }

    public function isPerson(): bool
    {
        return $this->kind === PartyKind::Person;
    }

    public function namePerson(PersonName $name): void
    {
        $this->fill([
            'prefix' => $name->prefix,
            'given' => $name->given,
            'middle' => $name->middle,
            'family' => $name->family,
            'suffix' => $name->suffix,
            'preferred' => $name->preferred,
            'pronouns' => $name->pronouns,
            'post_nominals' => $name->postNominals,
        ]);
        $this->fileUnder($name->display(), $name->fileAs());
    }

    public function nameCompany(CompanyName $name): void
    {
        $this->fill(['company_name' => $name->name, 'legal_name' => $name->legal]);
        $this->fileUnder($name->display(), $name->fileAs());
    }

    public function personName(): PersonName
    {
        return PersonName::of(
            $this->given,
            $this->family,
            $this->prefix,
            $this->middle,
            $this->suffix,
            $this->preferred,
            $this->pronouns,
            $this->post_nominals,
        );
    }

    public function birthDay(): ?Day
    {
        return $this->born_on === null ? null : Day::fromIso($this->born_on);
    }

    /** How a person is written to. */
    public function addressing(): Addressing
    {
        return Addressing::of($this->personName(), $this->is_informal, $this->is_deceased);
    }

    /** @param  Builder<self>  $query */
    public function scopeFiled(Builder $query): void
    {
        $query->orderBy('sort_key')->orderBy('id');
    }

    private function fileUnder(string $display, string $fileAs): void
    {
        $this->fill(['display_name' => $display, 'file_as' => $fileAs, 'sort_key' => Fold::text($fileAs)]);
    }
}
