<?php

declare(strict_types=1);

namespace Almanac;

/**
 * A value the book cannot take. The message is written for the person who typed it:
 * it says what is wrong and what to type instead.
 */
abstract class Refusal extends \DomainException
{
}
