<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

use Almanac\Calendar\Day;
use Almanac\Finding\Fold;
use Almanac\Records\PartyKind;

/** What is compared of a record. */
final readonly class Likeness
{
    /**
     * @param list<string> $given folded words of a person's given name
     * @param list<string> $called other given names that they are known by
     * @param list<string> $middle words or initials
     * @param string $suffix jr, sr, ii; empty for none
     * @param list<string> $name words of the family name, or those that tell a company from others
     * @param list<string> $branch words that say which of several of one name it is
     * @param list<list<string>> $also words of other names: former ones, the legal one
     * @param list<string> $phones E.164
     * @param list<string> $emails without dots and what follows a plus
     * @param list<string> $websites hosts
     * @param list<PlaceForm> $places
     * @param list<string> $numbers tax numbers, as "kind|anything that is the same for the same number"
     * @param list<string> $codes numbers elsewhere, as "system|number"
     * @param list<int|string> $employers where a person works
     * @param list<string> $shared phones, emails and forms of addresses among these that different people are known to share
     */
    private function __construct(
        public PartyKind $kind,
        public array $given,
        public array $called,
        public array $middle,
        public string $suffix,
        public array $name,
        public array $branch,
        public array $also,
        public ?Day $born,
        public array $phones,
        public array $emails,
        public array $websites,
        public array $places,
        public array $numbers,
        public array $codes,
        public array $employers,
        public array $shared,
    ) {
    }

    /**
     * @param list<string> $phones E.164
     * @param list<string> $emails
     * @param list<array{string, string, string}> $places lines, locality and postcode of each address
     * @param list<string> $numbers tax numbers, as "kind|anything that is the same for the same number"
     * @param list<string> $formerly other family names
     * @param list<string> $codes numbers elsewhere, as "system|number"
     * @param list<int|string> $employers where they work
     * @param list<string> $shared phones, emails and forms of addresses among these that different people are known to share
     */
    public static function person(
        string $given,
        string $family,
        array $phones = [],
        array $emails = [],
        array $places = [],
        array $numbers = [],
        string $middle = '',
        string $suffix = '',
        string $preferred = '',
        array $formerly = [],
        ?Day $born = null,
        array $codes = [],
        array $employers = [],
        array $shared = [],
    ): self {
        return new self(
            PartyKind::Person, Fold::words($given), Fold::words($preferred), Fold::words($middle), NameForm::suffix($suffix),
            NameForm::family($family), [], array_map(NameForm::family(...), $formerly), $born, $phones, EmailForm::plain($emails), [],
            self::places($places), $numbers, $codes, $employers, [...$shared, ...EmailForm::plain($shared)],
        );
    }

    /**
     * @param list<string> $phones E.164
     * @param list<string> $emails
     * @param list<array{string, string, string}> $places lines, locality and postcode of each address
     * @param list<string> $numbers tax numbers, as "kind|anything that is the same for the same number"
     * @param list<string> $also other names: the legal one, former ones
     * @param list<string> $websites
     * @param list<string> $codes numbers elsewhere, as "system|number"
     * @param list<string> $shared phones, emails and forms of addresses among these that different people are known to share
     */
    public static function company(
        string $name,
        array $phones = [],
        array $emails = [],
        array $places = [],
        array $numbers = [],
        array $also = [],
        array $websites = [],
        array $codes = [],
        array $shared = [],
    ): self {
        [$words, $branch] = NameForm::branched($name);

        return new self(
            PartyKind::Company, [], [], [], '', $words, $branch, array_map(fn (string $one) => NameForm::branched($one)[0], $also), null,
            $phones, EmailForm::plain($emails), self::hosts($websites), self::places($places), $numbers, $codes, [],
            [...$shared, ...EmailForm::plain($shared)],
        );
    }

    /** @return list<string> phones that are its own, or not known to be shared */
    public function ownPhones(): array
    {
        return $this->shared === [] ? $this->phones : array_values(array_diff($this->phones, $this->shared));
    }

    /** @return list<string> emails that are its own, or not known to be shared */
    public function ownEmails(): array
    {
        return $this->shared === [] ? $this->emails : array_values(array_diff($this->emails, $this->shared));
    }

    /** @return list<PlaceForm> addresses that are its own, or not known to be shared */
    public function ownPlaces(): array
    {
        return $this->shared === []
            ? $this->places
            : array_values(array_filter($this->places, fn (PlaceForm $place) => ! in_array($place->form(), $this->shared, true)));
    }

    /**
     * @param list<string> $websites
     *
     * @return list<string>
     */
    private static function hosts(array $websites): array
    {
        return array_values(array_unique(array_filter(array_map(
            fn (string $site) => preg_replace('#^(?:https?://)?(?:www\.)?([^/:?\#]+).*$#i', '$1', mb_strtolower(trim($site))) ?? '',
            $websites,
        ))));
    }

    /**
     * @param list<array{string, string, string}> $places
     *
     * @return list<PlaceForm>
     */
    private static function places(array $places): array
    {
        return array_values(array_filter(
            array_map(fn (array $place) => PlaceForm::of(...$place), $places),
            fn (PlaceForm $place) => $place->isKnown(),
        ));
    }
}
