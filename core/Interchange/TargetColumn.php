<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Finding\Fold;

/** What a column of a table of records can be. */
final readonly class TargetColumn
{
    /**
     * @param string $key as it is kept
     * @param string $title its heading in our own tables
     * @param string $group under which it is offered
     * @param string $help one line for whoever fills in a table
     * @param array{string, string} $examples of a person, and of a company
     * @param list<string> $headings other headings that mean it, folded; common practice, no published source
     * @param bool $isSeveral whether a record may have several, each with a label or a number
     */
    public function __construct(
        public string $key,
        public string $title,
        public string $group,
        public string $help,
        public array $examples = ['', ''],
        public array $headings = [],
        public bool $isSeveral = false,
    ) {
    }

    /**
     * Makes columns of one group, of each of which a line may have several.
     *
     * @return \Closure(string, string, string, array{string, string}=, list<string>=): self
     */
    public static function several(string $group): \Closure
    {
        return fn (string $key, string $title, string $help, array $examples = ['', ''], array $headings = []) => new self(
            $key, $title, $group, $help, [$examples[0] ?? '', $examples[1] ?? ''],
            array_values(array_filter($headings, is_string(...))), true,
        );
    }

    /** @return list<string> every heading that means it, folded, with single spaces */
    public function known(): array
    {
        return array_map(self::plain(...), [$this->title, $this->key, ...$this->headings]);
    }

    /** A heading without what people write differently. */
    public static function plain(string $heading): string
    {
        if ($heading === '') {
            return '';
        }
        // FirstName is two words, and so is Line1.
        $spaced = preg_replace('/(?<=\p{Ll})(?=\p{Lu}|\d)/u', ' ', $heading) ?? $heading;

        return implode(' ', Fold::words($spaced));
    }
}
