<?php

declare(strict_types=1);

namespace App\Facts\Mailing;

use App\Models\Party;

/** How a letter to somebody is addressed. */
final readonly class AddressedLetter
{
    /**
     * @param list<string> $envelope its lines; none where there is no address
     * @param string|null $salutation how it begins; null for somebody who has died, for whom nobody stands in
     * @param Party|null $also the spouse it is for as well, or who reads it instead
     */
    public function __construct(public array $envelope, public ?string $salutation, public ?Party $also)
    {
    }
}
