<?php

declare(strict_types=1);

namespace Almanac\Mailing;

/**
 * Who of a list gets an envelope or a label: couples who are written to together get one, a household gets one when that is
 * asked, and who cannot be written to gets none and is told. Common practice, no published source.
 */
final readonly class Mailing
{
    /** Records to which one letter is written at once. */
    public const MOST_LETTERS = 1000;

    /**
     * @param list<Envelope> $envelopes
     * @param list<Addressee> $leftOut who cannot be written to
     */
    private function __construct(public array $envelopes, public array $leftOut)
    {
    }

    /** @throws MailingRefused when nobody is chosen, or more than can be written to at once */
    public static function mustBeWritable(int $records): void
    {
        if ($records === 0 || $records > self::MOST_LETTERS) {
            throw $records === 0 ? MailingRefused::nobody() : MailingRefused::tooManyLetters(self::MOST_LETTERS);
        }
    }

    /** @param  iterable<Addressee>  $addressees  in the order of the list */
    public static function to(iterable $addressees, bool $onceAHousehold): self
    {
        $groups = [];
        $leftOut = [];
        foreach ($addressees as $one) {
            if ($one->why === '') {
                $groups[$one->sharedBy($onceAHousehold)][] = $one;
            } else {
                $leftOut[] = $one;
            }
        }

        return new self(array_map(Envelope::of(...), array_values($groups)), $leftOut);
    }
}
