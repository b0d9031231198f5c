<?php

declare(strict_types=1);

namespace Almanac\Addresses;

use Almanac\Titled;

/** How a party uses an address. */
enum AddressUse: string implements Titled
{
    case Postal = 'postal';
    case Office = 'office';
    case Home = 'home';
    case Billing = 'billing';
    case RemitTo = 'remit-to';
    case Delivery = 'delivery';
    case ShipFrom = 'ship-from';
    case Reminders = 'reminders';

    public function title(): string
    {
        return $this->value;
    }
}
