<?php

declare(strict_types=1);

namespace Almanac\Names;

/** The parts of a person's name, as in the N property of vCard (RFC 6350, section 6.2.2), and what is made of them. */
final readonly class PersonName
{
    private function __construct(
        public string $prefix,
        public string $given,
        public string $middle,
        public string $family,
        public string $suffix,
        public string $preferred,
        public string $pronouns,
        public string $postNominals,
    ) {
    }

    /** @throws NameRefused when both given and family name are empty, or a part has over 200 characters */
    public static function of(
        string $given,
        string $family,
        string $prefix = '',
        string $middle = '',
        string $suffix = '',
        string $preferred = '',
        string $pronouns = '',
        string $postNominals = '',
    ): self {
        $name = new self(
            NamePart::tidy($prefix),
            NamePart::tidy($given),
            NamePart::tidy($middle),
            NamePart::tidy($family),
            NamePart::tidy($suffix),
            NamePart::tidy($preferred),
            NamePart::tidy($pronouns),
            NamePart::tidy($postNominals),
        );

        return $name->given === '' && $name->family === '' ? throw NameRefused::emptyPerson() : $name;
    }

    /** Mr. Silas A. Wren III */
    public function display(): string
    {
        return $this->putsFamilyFirst() ? $this->plain() : self::join(' ', $this->prefix, $this->plain());
    }

    /** As it stands on an envelope: with what stands after the name; Mr. and Ms. give way to Esq. */
    public function onEnvelope(): string
    {
        return self::join(', ', $this->isEsquire() ? $this->plain() : $this->display(), $this->postNominals);
    }

    /** Wren, Silas A., III */
    public function fileAs(): string
    {
        return $this->family === ''
            ? self::join(' ', $this->given, $this->middle)
            : self::join($this->putsFamilyFirst() ? ' ' : ', ', $this->family, self::join(' ', $this->given, $this->middle), $this->suffix);
    }

    /** Silas A. Wren III, without what stands before the name. */
    public function plain(): string
    {
        return $this->putsFamilyFirst()
            ? self::join(' ', $this->family, $this->given, $this->suffix)
            : self::join(' ', $this->given, $this->middle, $this->family, $this->suffix);
    }

    /** SAW, of given, middle and family name. */
    public function initials(): string
    {
        return implode('', array_map(
            fn (string $part) => mb_strtoupper((string) grapheme_substr($part, 0, 1)),
            array_filter([$this->given, $this->middle, $this->family], fn (string $part) => $part !== ''),
        ));
    }

    /** Names in Chinese, Japanese and Korean script begin with the family (common practice, no published source). */
    private function putsFamilyFirst(): bool
    {
        return $this->family !== ''
            && preg_match('/^[\p{Han}\p{Hiragana}\p{Katakana}\p{Hangul}]+$/u', $this->family.$this->given) === 1;
    }

    /** Nobody is both Mr. and Esq. (common practice, no published source). */
    private function isEsquire(): bool
    {
        return preg_match('/\besq\b/i', $this->suffix.' '.$this->postNominals) === 1;
    }

    private static function join(string $glue, string ...$parts): string
    {
        return implode($glue, array_filter($parts, fn (string $part) => $part !== ''));
    }
}
