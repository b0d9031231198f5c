<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

use Almanac\Finding\Fold;
use Almanac\Records\PartyKind;

/** What is compared of a record. */
final readonly class Likeness
{
    /**
     * @param list<string> $given words of a person's given name
     * @param list<string> $name words of the family name, or of the company's name
     * @param list<string> $phones E.164
     * @param list<string> $emails
     * @param list<string> $places postcode and street, folded
     * @param list<string> $numbers tax numbers, as "kind|anything that is the same for the same number"
     */
    private function __construct(
        public PartyKind $kind,
        public array $given,
        public array $name,
        public array $phones,
        public array $emails,
        public array $places,
        public array $numbers,
    ) {
    }

    /**
     * @param list<string> $phones E.164
     * @param list<string> $emails
     * @param list<array{string, string}> $places postcode and first line of each address
     * @param list<string> $numbers tax numbers, as "kind|anything that is the same for the same number"
     */
    public static function person(
        string $given,
        string $family,
        array $phones = [],
        array $emails = [],
        array $places = [],
        array $numbers = [],
    ): self {
        return new self(
            PartyKind::Person,
            NameForm::given($given),
            NameForm::family($family),
            $phones,
            self::folded($emails),
            self::places($places),
            $numbers,
        );
    }

    /**
     * @param list<string> $phones E.164
     * @param list<string> $emails
     * @param list<array{string, string}> $places postcode and first line of each address
     * @param list<string> $numbers tax numbers, as "kind|anything that is the same for the same number"
     */
    public static function company(string $name, array $phones = [], array $emails = [], array $places = [], array $numbers = []): self
    {
        return new self(PartyKind::Company, [], NameForm::company($name), $phones, self::folded($emails), self::places($places), $numbers);
    }

    /** The whole name in one fixed order, for comparing. */
    public function nameText(): string
    {
        $words = [...$this->given, ...$this->name];
        sort($words);

        return implode(' ', $words);
    }

    /**
     * Keys of which look-alikes share at least one: the sound of each word of the name, and each
     * phone, email, place and tax number as it is. Only records with a common key are ever compared.
     *
     * @return list<string>
     */
    public function keys(): array
    {
        $sounds = array_map(self::sound(...), $this->name);
        // Both names together, in one order, for when they were entered the wrong way round.
        $both = $this->given === [] || $this->name === [] ? [] : [self::sound($this->given[0]), self::sound($this->name[0])];
        sort($both);

        return array_values(array_unique([
            ...array_map(fn (string $sound) => $this->kind->value[0].'w:'.$sound, $sounds),
            ...($both === [] ? [] : [$this->kind->value[0].'b:'.implode(' ', $both)]),
            ...array_map(fn (string $phone) => $this->kind->value[0].'p:'.$phone, $this->phones),
            ...array_map(fn (string $email) => $this->kind->value[0].'e:'.$email, $this->emails),
            ...array_map(fn (string $place) => $this->kind->value[0].'a:'.$place, $this->places),
            ...array_map(fn (string $number) => $this->kind->value[0].'t:'.$number, $this->numbers),
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
        return array_map(fn (PartyKind $kind) => $kind->value[0].'e:'.mb_strtolower($email), PartyKind::cases());
    }

    /** The sound of a word by its consonants; of a word in another script its first two signs. */
    private static function sound(string $word): string
    {
        $sound = preg_match('/^[a-z]+$/', $word) === 1 ? metaphone($word) : '';

        return $sound === '' ? mb_substr($word, 0, 2) : $sound;
    }

    /**
     * @param list<string> $emails
     *
     * @return list<string>
     */
    private static function folded(array $emails): array
    {
        return array_map(mb_strtolower(...), $emails);
    }

    /**
     * @param list<array{string, string}> $places
     *
     * @return list<string>
     */
    private static function places(array $places): array
    {
        return array_values(array_filter(array_map(
            fn (array $place) => $place[0] === '' || $place[1] === '' ? '' : Fold::text($place[0]).' '.implode(' ', Fold::words($place[1])),
            $places,
        )));
    }
}
