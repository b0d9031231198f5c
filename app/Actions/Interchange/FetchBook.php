<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\CardDav\DavAddress;
use Almanac\Interchange\InterchangeRefused;
use App\Models\Import;
use App\Models\Office;
use App\Models\User;
use App\Outside\BookElsewhere;
use App\Outside\NameService;
use App\Validation\FieldProblems;
use Illuminate\Validation\ValidationException;

/**
 * Fetches the contacts of an address book elsewhere, as if somebody had handed them in as a file. What it takes to sign
 * in there is not kept.
 */
final readonly class FetchBook
{
    public function __construct(private ReceiveFile $receive, private NameService $names)
    {
    }

    /**
     * Asks the network; never within a transaction.
     *
     * @param array{address: string, name: string, password: string} $input
     *
     * @throws ValidationException when it is not allowed, is none, or cannot be read
     */
    public function ask(array $input): FetchedBook
    {
        $problems = new FieldProblems;
        $book = new BookElsewhere(Office::current()->bookPlaces(), $input['name'], $input['password'], $this->names);
        $read = $problems->at('address', function () use ($input, $book): array {
            $address = DavAddress::fromTyped($input['address']);

            return [$book->read($address), (string) preg_replace('#^https?://#', '', $address->place)];
        });
        $problems->throwIfAny();
        [$cards, $name] = $read ?? ['', ''];

        return new FetchedBook($cards, $name);
    }

    /** @throws InterchangeRefused when what it has are no contacts */
    public function receive(FetchedBook $book, User $by): Import
    {
        return $this->receive->content($book->cards, $book->name, $by);
    }
}
