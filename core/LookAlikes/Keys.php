<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

use Almanac\Records\PartyKind;

/** Under which records are kept, so that only those are compared that share one. */
final class Keys
{
    /**
     * Keys of which look-alikes share at least one: how the words of the name sound, alone and two together, and each
     * phone, email, house, website and number as it is. Only records with a common key are ever compared.
     *
     * @return list<string>
     */
    public static function of(Likeness $one): array
    {
        $kind = $one->kind->value[0];
        $keys = $one->kind === PartyKind::Person ? self::ofPerson($one) : self::ofCompany($one);
        foreach (['p' => $one->phones, 'e' => $one->emails, 'd' => $one->websites, 't' => $one->numbers, 'c' => $one->codes] as $of => $values) {
            foreach ($values as $value) {
                $keys[] = "$of:$value";
            }
        }
        foreach ($one->emails as $email) {
            $local = EmailForm::ownLocal($email);
            if ($local !== '') {
                $keys[] = "l:$local";
            }
        }
        foreach ($one->places as $place) {
            if ($place->key() !== '') {
                $keys[] = 'a:'.$place->key();
            }
        }

        return array_values(array_unique(array_map(fn (string $key) => $kind.$key, $keys)));
    }

    /** Whether a key is one word of several: half the trade is called so. */
    public static function isWeak(string $key): bool
    {
        return $key[1] === 'w';
    }

    /**
     * Whether a key says much by itself: both names, the whole name of a company, or what few have. Who shares none of these
     * with another is not likely enough to be asked about.
     */
    public static function isStrong(string $key): bool
    {
        return in_array($key[1], ['b', 'n', 'p', 'e', 'l', 'd', 't', 'c'], true);
    }

    /**
     * By which those are told apart who share a key with very many: of a common name, behind one front desk.
     *
     * @return list<string>
     */
    public static function second(Likeness $one): array
    {
        $name = implode(' ', [...array_map(Nicknames::whole(...), array_slice($one->given, 0, 1)), implode('', $one->name)]);
        $initial = mb_substr($name, 0, 1);

        return array_values(array_unique([
            $name,
            "$initial ".implode('', $one->name),
            ...$one->born === null ? [] : [$one->born->toIso()],
            ...$one->phones,
            ...$one->emails,
            ...$one->websites,
            ...array_map(fn (PlaceForm $place) => "$initial $place->postcode $place->number", $one->places),
        ]));
    }

    /**
     * Under which a phone is kept, whoever has it.
     *
     * @return list<string>
     */
    public static function ofPhone(string $e164): array
    {
        return array_map(fn (PartyKind $kind) => $kind->value[0].'p:'.$e164, PartyKind::cases());
    }

    /**
     * Under which an email is kept, whoever has it.
     *
     * @return list<string>
     */
    public static function ofEmail(string $email): array
    {
        return array_map(fn (PartyKind $kind) => $kind->value[0].'e:'.EmailForm::plain([$email])[0], PartyKind::cases());
    }

    /** @return list<string> */
    private static function ofPerson(Likeness $one): array
    {
        $keys = [];
        $families = [];
        foreach ([$one->name, ...$one->also] as $words) {
            foreach ([...$words, implode('', $words)] as $word) {
                $families[] = NameForm::sound($word);
            }
        }
        // A family name is kept as the middle one after a wedding.
        $kept = array_map(NameForm::sound(...), array_filter($one->middle, fn (string $word) => mb_strlen($word) > 3));
        $given = [];
        foreach ([...array_slice($one->given, 0, 1), ...$one->called, ...$one->middle] as $word) {
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
            foreach ($given as $called) {
                $keys[] = 'b:'.min($called, $family).' '.max($called, $family);
            }
        }
        foreach ($one->employers as $employer) {
            foreach ($given as $called) {
                $keys[] = "o:$called $employer";
            }
        }
        // A slip in the middle of the family name changes how it sounds, not how it begins and how it ends.
        $joined = implode('', $one->name);
        foreach (mb_strlen($joined) > 3 ? $given : [] as $called) {
            $keys[] = "x:$called ".mb_substr($joined, 0, 2);
            $keys[] = "y:$called ".mb_substr($joined, -2);
        }

        return $keys;
    }

    /** @return list<string> */
    private static function ofCompany(Likeness $one): array
    {
        $keys = [];
        foreach ([$one->name, ...$one->also] as $words) {
            foreach ($words as $word) {
                $keys[] = 'w:'.NameForm::sound($word);
            }
            $sounds = array_map(NameForm::sound(...), array_slice($words, 0, 2));
            $keys[] = 'n:'.implode(' ', $sounds);
            $keys[] = 'i:'.NameForm::initials($words);
        }

        return $keys;
    }
}
