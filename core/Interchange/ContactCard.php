<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Names\PersonName;
use Almanac\Reach\ContactKind;
use Sabre\VObject\Component\VCard;
use Sabre\VObject\Document;

/**
 * A person or a company as phones and mail programs keep them: a vCard.
 *
 * Source: RFC 6350, "vCard Format Specification" (4.0); RFC 2426, "vCard MIME Directory Profile" (3.0); RFC 7095, "jCard".
 */
final readonly class ContactCard
{
    /** What a label of ours says in the types of RFC 6350, 5.6 and 6.4.1. */
    private const TYPES = [
        'home' => 'home', 'private' => 'home', 'office' => 'work', 'work' => 'work', 'mobile' => 'cell', 'cell' => 'cell', 'fax' => 'fax',
        'pager' => 'pager', 'text' => 'text',
    ];

    /**
     * @param string $uid the same for the same record, for as long as it is kept
     * @param PersonName|null $person null of a company
     * @param string $name as it is shown
     * @param list<string> $organisation the company, then the department; of a company itself
     * @param list<array{ContactKind, string, string, bool}> $points kind, value (a phone in E.164 with its extension after "x"), label, whether it comes first
     * @param list<array{list<string>, string, string, string, string, string, bool}> $addresses lines, locality, region, postcode, country, label, whether it comes first
     * @param list<string> $categories
     * @param string $language ISO 639; may be empty
     */
    public function __construct(
        public string $uid,
        public ?PersonName $person,
        public string $name,
        public array $organisation,
        public string $title,
        public array $points,
        public array $addresses,
        public array $categories,
        public string $language,
        public \DateTimeImmutable $revised,
    ) {
    }

    public function toVCard4(): string
    {
        return $this->card()->serialize();
    }

    public function toVCard3(): string
    {
        return $this->card(isOld: true)->convert(Document::VCARD30)->serialize();
    }

    /** @return array<mixed> as JSON is made of it */
    public function toJCard(): array
    {
        return (array) $this->card()->jsonSerialize();
    }

    /** @param  bool  $isOld  whether phones are written as RFC 2426 has them, which knows no addresses of phones */
    private function card(bool $isOld = false): VCard
    {
        $card = new VCard(['VERSION' => '4.0', 'UID' => $this->uid, 'FN' => $this->name], false);
        $card->add('REV', $this->revised->setTimezone(new \DateTimeZone('UTC'))->format('Ymd\THis\Z'));
        $card->add('KIND', $this->person === null ? 'org' : 'individual');
        if ($this->person !== null) {
            $card->add('N', [
                $this->person->family, $this->person->given, $this->person->middle, $this->person->prefix,
                array_values(array_filter([$this->person->suffix, $this->person->postNominals])),
            ]);
            if ($this->person->preferred !== '') {
                $card->add('NICKNAME', $this->person->preferred);
            }
        }
        foreach (['ORG' => $this->organisation, 'TITLE' => $this->title, 'CATEGORIES' => $this->categories, 'LANG' => $this->language] as $property => $value) {
            if ($value !== '' && $value !== []) {
                $card->add($property, $value);
            }
        }
        foreach ($this->points as [$kind, $value, $label, $isFirst]) {
            $this->addPoint($card, $kind, $value, self::parameters($label, $isFirst), $isOld);
        }
        foreach ($this->addresses as [$lines, $locality, $region, $postcode, $country, $label, $isFirst]) {
            $card->add('ADR', ['', '', implode("\n", $lines), $locality, $region, $postcode, $country], self::parameters($label, $isFirst));
        }

        return $card;
    }

    /** @param  array<string, mixed>  $parameters */
    private function addPoint(VCard $card, ContactKind $kind, string $value, array $parameters, bool $isOld): void
    {
        match ($kind) {
            ContactKind::Phone => $isOld
                ? $card->add('TEL', $value, $parameters)
                : $card->add('TEL', 'tel:'.str_replace(' x', ';ext=', $value), ['VALUE' => 'uri'] + $parameters),
            ContactKind::Email => $card->add('EMAIL', $value, $parameters),
            ContactKind::Website => $card->add('URL', $value, $parameters),
            ContactKind::Handle => $card->add('IMPP', $value, $parameters),
            // RFC 9554, 3.5; from memory.
            ContactKind::Profile => $card->add($isOld ? 'X-SOCIALPROFILE' : 'SOCIALPROFILE', $value, ['VALUE' => 'text'] + $parameters),
        };
    }

    /** @return array<string, mixed> */
    private static function parameters(string $label, bool $isFirst): array
    {
        $type = self::TYPES[mb_strtolower($label)] ?? null;

        return array_filter(['TYPE' => $type, 'PREF' => $isFirst ? '1' : null], fn (?string $value) => $value !== null);
    }
}
