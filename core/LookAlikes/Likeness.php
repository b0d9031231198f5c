<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

use Almanac\Calendar\Day;
use Almanac\Finding\Fold;
use Almanac\Records\PartyKind;

/** What is compared of a record. */
final readonly class Likeness
{
    /** Before the @ of addresses that are nobody's own. */
    private const EVERYBODYS = ['info', 'office', 'admin', 'mail', 'contact', 'sales', 'hello', 'accounts', 'billing', 'invoices', 'enquiries', 'service', 'support'];

    private const SHORTEST_LOCAL = 6;

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
     * @param list<string> $shared phones and emails among these that different people are known to share
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
     * @param list<string> $shared phones and emails among these that different people are known to share
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
            NameForm::family($family), [], array_map(NameForm::family(...), $formerly), $born, $phones, self::plain($emails), [],
            self::places($places), $numbers, $codes, $employers, [...$shared, ...self::plain($shared)],
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
     * @param list<string> $shared phones and emails among these that different people are known to share
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
            $phones, self::plain($emails), self::hosts($websites), self::places($places), $numbers, $codes, [],
            [...$shared, ...self::plain($shared)],
        );
    }

    /**
     * Keys of which look-alikes share at least one: how the words of the name sound, alone and two together, and each
     * phone, email, house, website and number as it is. Only records with a common key are ever compared.
     *
     * @return list<string>
     */
    public function keys(): array
    {
        $kind = $this->kind->value[0];
        $keys = $this->kind === PartyKind::Person ? $this->keysOfPerson() : $this->keysOfCompany();
        foreach (['p' => $this->phones, 'e' => $this->emails, 'd' => $this->websites, 't' => $this->numbers, 'c' => $this->codes] as $of => $values) {
            foreach ($values as $value) {
                $keys[] = "$of:$value";
            }
        }
        foreach ($this->emails as $email) {
            $local = self::ownLocal($email);
            if ($local !== '') {
                $keys[] = "l:$local";
            }
        }
        foreach ($this->places as $place) {
            if ($place->key() !== '') {
                $keys[] = 'a:'.$place->key();
            }
        }

        return array_values(array_unique(array_map(fn (string $key) => $kind.$key, $keys)));
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

    /** Whether a key is one word of several: half the trade is called so. */
    public static function isWeakKey(string $key): bool
    {
        return $key[1] === 'w';
    }

    /**
     * By which those are told apart who share a key with very many: of a common name, behind one front desk.
     *
     * @return list<string>
     */
    public function secondKeys(): array
    {
        $name = implode(' ', [...array_map(Nicknames::whole(...), array_slice($this->given, 0, 1)), implode('', $this->name)]);
        $initial = mb_substr($name, 0, 1);

        return array_values(array_unique([
            $name,
            "$initial ".implode('', $this->name),
            ...$this->born === null ? [] : [$this->born->toIso()],
            ...$this->phones,
            ...$this->emails,
            ...$this->websites,
            ...array_map(fn (PlaceForm $place) => "$initial $place->postcode $place->number", $this->places),
        ]));
    }

    /**
     * Under which a phone is kept, whoever has it.
     *
     * @return list<string>
     */
    public static function keysOfPhone(string $e164): array
    {
        return array_map(fn (PartyKind $kind) => $kind->value[0].'p:'.$e164, PartyKind::cases());
    }

    /**
     * Under which an email is kept, whoever has it.
     *
     * @return list<string>
     */
    public static function keysOfEmail(string $email): array
    {
        return array_map(fn (PartyKind $kind) => $kind->value[0].'e:'.self::plain([$email])[0], PartyKind::cases());
    }

    /** What stands before the @, where it is somebody's own; else empty. */
    public static function ownLocal(string $email): string
    {
        $local = strstr($email, '@', before_needle: true) ?: '';

        return strlen($local) < self::SHORTEST_LOCAL || in_array($local, self::EVERYBODYS, true) ? '' : $local;
    }

    /** @return list<string> */
    private function keysOfPerson(): array
    {
        $keys = [];
        $families = [];
        foreach ([$this->name, ...$this->also] as $words) {
            foreach ([...$words, implode('', $words)] as $word) {
                $families[] = NameForm::sound($word);
            }
        }
        // A family name is kept as the middle one after a wedding.
        $kept = array_map(NameForm::sound(...), array_filter($this->middle, fn (string $word) => mb_strlen($word) > 3));
        $given = [];
        foreach ([...array_slice($this->given, 0, 1), ...$this->called, ...$this->middle] as $word) {
            foreach (mb_strlen($word) > 1 ? Nicknames::wholes($word) : [] as $whole) {
                $given[] = NameForm::sound($whole);
            }
        }
        $given = array_unique($given);
        foreach (array_unique($families) as $family) {
            $keys[] = "w:$family";
        }
        // Both names together, in one order, for when they were entered the wrong way round.
        foreach (array_unique([...$families, ...$kept]) as $family) {
            foreach ($given as $one) {
                $keys[] = 'b:'.min($one, $family).' '.max($one, $family);
            }
        }
        foreach ($this->employers as $employer) {
            foreach ($given as $one) {
                $keys[] = "o:$one $employer";
            }
        }
        // A slip in the middle of the family name changes how it sounds, not how it begins and how it ends.
        $joined = implode('', $this->name);
        foreach (mb_strlen($joined) > 3 ? $given : [] as $one) {
            $keys[] = "x:$one ".mb_substr($joined, 0, 2);
            $keys[] = "y:$one ".mb_substr($joined, -2);
        }

        return $keys;
    }

    /** @return list<string> */
    private function keysOfCompany(): array
    {
        $keys = [];
        foreach ([$this->name, ...$this->also] as $words) {
            foreach ($words as $word) {
                $keys[] = 'w:'.NameForm::sound($word);
            }
            $sounds = array_map(NameForm::sound(...), array_slice($words, 0, 2));
            $keys[] = 'n:'.implode(' ', $sounds);
            $keys[] = 'i:'.self::initials($words);
        }

        return $keys;
    }

    /**
     * The initials of a name; the name itself where it is nothing but initials.
     *
     * @param list<string> $words
     */
    public static function initials(array $words): string
    {
        $joined = implode('', $words);

        return mb_strlen($joined) <= 4 ? $joined : implode('', array_map(fn (string $word) => mb_substr($word, 0, 1), $words));
    }

    /**
     * @param list<string> $emails
     *
     * @return list<string>
     */
    private static function plain(array $emails): array
    {
        return array_values(array_unique(array_map(function (string $email): string {
            if (! str_contains($email, '@')) {
                return $email;
            }
            [$local, $domain] = explode('@', mb_strtolower($email), 2);

            return str_replace('.', '', explode('+', $local, 2)[0]).'@'.$domain;
        }, $emails)));
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
