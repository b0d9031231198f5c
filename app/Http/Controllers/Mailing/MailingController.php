<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mailing;

use Almanac\Mailing\LabelSheet;
use App\Http\Data\Mailing\MailingData;
use App\Http\FileAnswer;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Mailing\AddressBookQuery;
use App\Http\Requests\Mailing\MailingQuery;
use App\Models\Office;
use App\Models\User;
use App\Papers\AddressBookPaper;
use App\Papers\LabelPaper;
use App\Queries\Mailing\ReadAddressBook;
use App\Queries\Mailing\ReadMailing;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpFoundation\Response;

/** A list on paper: labels and envelopes, an address book, a list of phones. */
final readonly class MailingController
{
    public function __construct(private ReadMailing $read)
    {
    }

    #[Reads('mailing', 'readMailing', 'What labels or envelopes of a list would be', 'Mailing', 'Mailing', MailingQuery::class)]
    public function show(MailingQuery $query, #[CurrentUser] User $user): JsonResponse
    {
        $sheet = $this->sheet($query);
        $start = $query->start($sheet);

        return new JsonResponse(MailingData::of(
            $this->read->handle($query->listed(), $query->chosen(), $query->boolean('household'), $user), $sheet, $start,
            $query->copies(),
        ));
    }

    #[Reads('mailing/pdf', 'printMailing', 'Labels or envelopes of a list', '', 'Mailing', MailingQuery::class)]
    public function pdf(MailingQuery $query, LabelPaper $paper, #[CurrentUser] User $user): Response
    {
        $sheet = $this->sheet($query);
        $start = $query->start($sheet);
        $mailing = $this->read->handle($query->listed(), $query->chosen(), $query->boolean('household'), $user);

        return FileAnswer::answer(
            $paper->pdf($sheet, $mailing->envelopes, $start, $query->copies(), Office::current()),
            $sheet->isEnvelope ? 'Envelopes.pdf' : 'Labels.pdf',
            'application/pdf',
        );
    }

    #[Reads('address-book/pdf', 'printAddressBook', 'An address book of a list, or its phones', '', 'Mailing', AddressBookQuery::class)]
    public function book(AddressBookQuery $query, ReadAddressBook $read, AddressBookPaper $paper, #[CurrentUser] User $user): Response
    {
        $isOfPhones = $query->boolean('phones');
        $title = $isOfPhones ? 'Phone list' : 'Address book';

        return FileAnswer::answer(
            $paper->pdf(Office::current(), $title, $read->handle($query->listed(), $isOfPhones, $user), $isOfPhones ? 3 : 2),
            "$title.pdf",
            'application/pdf',
        );
    }

    private function sheet(MailingQuery $query): LabelSheet
    {
        return $query->sheet(in_array(Office::current()->country, ['US', 'CA'], true) ? 'letter-30' : 'a4-21');
    }
}
