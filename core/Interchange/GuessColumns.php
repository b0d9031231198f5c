<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/**
 * Guesses what the columns of a file are: by their headings, in the words that many programs use, and where those say
 * nothing by what stands in them.
 */
final class GuessColumns
{
    /** Words beside the heading that say which of several it is. */
    private const LABELS = [
        'mobile' => 'mobile', 'cell' => 'mobile', 'cellular' => 'mobile', 'home' => 'home', 'private' => 'home',
        'work' => 'office', 'business' => 'office',
        'office' => 'office', 'fax' => 'fax', 'pager' => 'pager', 'direct' => 'direct', 'assistant' => 'assistant', 'other' => 'other',
        'billing' => 'billing', 'bill to' => 'billing', 'invoice' => 'billing', 'shipping' => 'delivery',
        'ship to' => 'delivery', 'delivery' => 'delivery',
        'mailing' => 'postal', 'postal' => 'postal', 'remit to' => 'remit-to', 'remittance' => 'remit-to', 'ship from' => 'ship-from',
    ];

    /** That mean a phone even where nothing else says so. */
    private const PHONES = ['mobile', 'fax', 'pager'];

    /** Words that say nothing of their own. */
    private const PLAIN = [
        'main', 'primary', 'value', 'preferred', 'default', 'contact', 'person', 'customer', 'client', 'vendor',
        'supplier', 'their',
    ];

    /** Headings of a company, where another column has the name of a person. */
    private const FIRMS = [
        'customer', 'customer name', 'client name', 'vendor name', 'supplier', 'supplier name', 'account name',
        'name 1',
    ];

    /** @var array<string, string> keys by every heading that means one */
    private array $known = [];

    /**
     * @param array<string, string> $fields names of the office's own fields, by "detail:number"
     * @param list<string> $labels of phones, emails and addresses in the office's lists
     */
    private function __construct(array $fields, private readonly array $labels)
    {
        foreach (array_reverse(PartyColumns::all()) as $column) {
            foreach ($column->known() as $heading) {
                $this->known[$heading] = $column->key;
            }
        }
        foreach ($fields as $key => $name) {
            $this->known[TargetColumn::plain($name)] ??= $key;
        }
    }

    /**
     * @param list<ColumnFacts> $columns
     * @param array<string, string> $fields names of the office's own fields, by "detail:number"
     * @param list<string> $labels of phones, emails and addresses in the office's lists
     *
     * @return list<string> a target for each; empty where nothing tells
     */
    public static function of(array $columns, array $fields = [], array $labels = []): array
    {
        $guess = new self($fields, $labels);
        $targets = array_map(fn (ColumnFacts $one) => $guess->byHeading($one) ?? $guess->byContent($one), $columns);

        return self::once(self::firmsApart($targets, $columns));
    }

    /**
     * Whether the first line names the columns: nothing in it looks like what stands in one.
     *
     * @param list<string> $cells
     */
    public static function isHeading(array $cells): bool
    {
        $filled = array_filter($cells, fn (string $cell) => $cell !== '');
        foreach ($filled as $cell) {
            if (preg_match('/@\S+\.|\d{5}|^\d+([.,\/-]\d+)*$|^https?:/', $cell) === 1) {
                return false;
            }
        }

        return $filled !== [] && count(array_unique($filled)) >= 0.7 * count($filled);
    }

    private function byHeading(ColumnFacts $column): ?string
    {
        $heading = TargetColumn::plain($column->heading);
        if ($heading === 'title' && $column->areMostly($column->prefixes)) {
            return 'prefix';
        }
        if (isset($this->known[$heading])) {
            return $this->known[$heading];
        }
        // As we write them ourselves: "Phone, 2", "Number elsewhere, Old program".
        [$title, $which] = array_map(trim(...), explode(',', $column->heading, 2)) + ['', ''];
        $own = $which === '' ? null : $this->known[TargetColumn::plain($title)] ?? null;
        if ($own !== null && (PartyColumns::all()[$own]->isSeveral ?? false)) {
            return "$own:$which";
        }
        $number = preg_match('/(?:^|\s)(\d{1,2})(?=\s|$)/', $heading, $digits) === 1 ? $digits[1] : '';
        $left = trim(preg_replace('/\s+/', ' ', preg_replace('/(^|\s)\d{1,2}(?=\s|$)/', ' ', $heading) ?? '') ?? '');
        [$left, $label] = $this->labelled($left);
        $key = $this->known[$left] ?? (in_array($label, self::PHONES, true) && in_array($left, ['', 'number', 'no'], true) ? 'phone' : null);
        $target = $key === null ? null : PartyColumns::all()[$key] ?? null;
        if ($target?->isSeveral !== true) {
            return $number === '' && $label === '' ? $key : null;
        }
        // The second line of a street belongs to the first; the second address is another.
        $isLine = $key === 'street' && $number !== '' && preg_match('/(line|address|street|addr)\s*\d/', $heading) === 1;

        return (string) Target::of("$key:".($label !== '' ? $label : ($isLine || $number === '1' ? '' : $number)))?->text();
    }

    /** @return array{string, string} the heading without the word that says which of several it is, and what that word means */
    private function labelled(string $heading): array
    {
        $words = self::LABELS;
        foreach ($this->labels as $label) {
            $words[TargetColumn::plain($label)] ??= $label;
        }
        $left = " $heading ";
        $found = '';
        foreach ($words as $word => $label) {
            if ($word !== '' && str_contains($left, " $word ")) {
                [$left, $found] = [str_replace(" $word ", ' ', $left), $label];
                break;
            }
        }
        foreach (self::PLAIN as $word) {
            $left = str_replace(" $word ", ' ', $left);
        }

        return [trim($left), $found];
    }

    private function byContent(ColumnFacts $column): string
    {
        return match (true) {
            $column->areMostly($column->emails) => 'email',
            $column->areMostly($column->sites) => 'website',
            $column->areMostly($column->phones) => 'phone',
            default => '',
        };
    }

    /**
     * Where one column has the name of a person and another that of a customer, the second is where they work.
     *
     * @param list<string> $targets
     * @param list<ColumnFacts> $columns
     *
     * @return list<string>
     */
    private static function firmsApart(array $targets, array $columns): array
    {
        $hasPerson = in_array('given', $targets, true) || in_array('family', $targets, true);
        $names = array_keys($targets, 'name', true);
        foreach ($names as $at) {
            $isFirm = in_array(TargetColumn::plain($columns[$at]->heading), self::FIRMS, true);
            if ($isFirm && ($hasPerson || count($names) > 1) && ! in_array('company', $targets, true)) {
                $targets[$at] = 'company';
            }
        }

        return array_values($targets);
    }

    /**
     * What there is one of is one column; what there are several of is told apart.
     *
     * @param list<string> $targets
     *
     * @return list<string>
     */
    private static function once(array $targets): array
    {
        $seen = [];
        $once = [];
        foreach ($targets as $text) {
            $target = Target::of($text);
            $column = $target === null ? null : PartyColumns::all()[$target->key] ?? null;
            $isPart = $target !== null
                && in_array($target->key, ['street', 'note', 'tags', 'types', 'phone', 'email', 'website', 'handle', 'profile'], true);
            if ($target === null || ($column !== null && ! $isPart && isset($seen[$text]) && ! $column->isSeveral)) {
                $once[] = '';

                continue;
            }
            if (isset($seen[$text]) && ! $isPart && $column?->isSeveral === true) {
                $text = "$target->key:".($seen[$text] + 1);
            }
            $seen[$text] = ($seen[$text] ?? 0) + 1;
            $once[] = $text;
        }

        return $once;
    }
}
