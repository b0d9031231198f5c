<?php

declare(strict_types=1);

namespace Almanac\Mailing;

/**
 * The words of a letter, with fields between braces that are filled in for each reader: "{greeting}", "{payment terms}". After
 * a bar stands what is said where the field is empty: "{first name|friend}". A brace itself is written twice. A line that
 * holds nothing but empty fields is left out. Common practice, no published source.
 */
final readonly class LetterText
{
    public const MOST_LETTERS = 20_000;

    private const MOST_FIELDS = 200;

    /** A slip of so many letters is still told what was meant. */
    private const SLIP = 2;

    /** @param  list<list<string|array{string, string}>>  $lines  of words, and of fields with what stands for them where they are empty */
    private function __construct(private array $lines)
    {
    }

    /** @throws MailingRefused when it is too long, or a brace is not closed */
    public static function of(string $typed): self
    {
        $typed = str_replace(["\r\n", "\r"], "\n", $typed);
        if (mb_strlen($typed) > self::MOST_LETTERS) {
            throw MailingRefused::tooLong(self::MOST_LETTERS);
        }
        $text = new self(array_map(
            fn (string $line, int $at) => self::pieces($line, $at + 1),
            explode("\n", rtrim($typed)),
            array_keys(explode("\n", rtrim($typed))),
        ));
        if (count($text->fields()) > self::MOST_FIELDS) {
            throw MailingRefused::tooManyFields(self::MOST_FIELDS);
        }

        return $text;
    }

    public function isEmpty(): bool
    {
        return $this->lines === [[]];
    }

    /** @return list<string> the names of its fields, each once, as they are looked up */
    public function fields(): array
    {
        $fields = [];
        foreach ($this->lines as $pieces) {
            foreach ($pieces as $piece) {
                if (is_array($piece)) {
                    $fields[$piece[0]] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($fields));
    }

    /**
     * @param list<string> $known the names of all fields there are
     *
     * @throws MailingRefused when it has a field that is none of them: where, and which was meant
     */
    public function mustKnow(array $known): void
    {
        foreach ($this->lines as $at => $pieces) {
            foreach ($pieces as $piece) {
                if (is_array($piece) && ! in_array($piece[0], $known, true)) {
                    throw MailingRefused::unknownField($piece[0], $at + 1, self::meant($piece[0], $known));
                }
            }
        }
    }

    /** @param  array<string, string>  $values  by the names of the fields; a missing one is empty */
    public function filled(array $values): string
    {
        $lines = [];
        foreach ($this->lines as $pieces) {
            $line = '';
            $hasEmpty = false;
            foreach ($pieces as $piece) {
                $value = is_array($piece) ? trim($values[$piece[0]] ?? '') : $piece;
                $value = is_array($piece) && $value === '' ? $piece[1] : $value;
                $hasEmpty = $hasEmpty || $value === '';
                $line .= $value;
            }
            if (! $hasEmpty) {
                $lines[] = rtrim($line);
            } elseif (trim($line) !== '') {
                // Where a field was empty, the blanks on its two sides are one.
                $lines[] = rtrim(preg_replace(['/ {2,}/', '/ +(?=[,.;:!?])/'], [' ', ''], $line) ?? $line);
            }
        }

        return rtrim(implode("\n", $lines));
    }

    /** What it is called in a list: one line, with three dots for what is another for each reader. */
    public function inShort(): string
    {
        $text = $this->filled(array_fill_keys($this->fields(), '…'));

        return preg_replace(['/\s+/u', '/^[\s…,;:\-]+|[\s…,;:\-]+$/u'], [' ', ''], $text) ?? $text;
    }

    /** The name of a field as it is looked up, however it is typed. */
    public static function name(string $typed): string
    {
        return mb_strtolower(trim(preg_replace('/\s+/u', ' ', $typed) ?? $typed));
    }

    /** @return list<string|array{string, string}> */
    private static function pieces(string $line, int $at): array
    {
        $pieces = [];
        $words = '';
        for ($rest = $line; $rest !== '';) {
            if (preg_match('/^(?:[^{}]+|\{\{|\}\})/', $rest, $plain) === 1) {
                $words .= match ($plain[0]) {
                    '{{' => '{',
                    '}}' => '}',
                    default => $plain[0],
                };
                $rest = substr($rest, strlen($plain[0]));
            } elseif (preg_match('/^\{([^{}|]*)(?:\|([^{}]*))?\}/', $rest, $field) === 1) {
                $name = self::name($field[1]);
                if ($name === '') {
                    throw MailingRefused::unnamedField($at);
                }
                $pieces = [...$pieces, ...$words === '' ? [] : [$words], [$name, trim($field[2] ?? '')]];
                $words = '';
                $rest = substr($rest, strlen($field[0]));
            } else {
                throw MailingRefused::openBrace($at);
            }
        }

        return [...$pieces, ...$words === '' ? [] : [$words]];
    }

    /** @param  list<string>  $known */
    private static function meant(string $name, array $known): string
    {
        $best = '';
        $least = self::SLIP + 1;
        foreach ($known as $one) {
            $slips = strlen($name) <= 60 ? levenshtein($name, $one) : $least;
            if ($slips < $least) {
                [$best, $least] = [$one, $slips];
            }
        }

        return $best;
    }
}
