<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Condition;
use App\Models\Document;

/** What the record has that something else belongs to: the client of an invoice, where it is, whoever looks after it. */
final readonly class ViaParty implements Source
{
    private const PARTY = 'documents.party_id';

    private function __construct(private Source $source)
    {
    }

    /** @return ListedField<Document> a field of records, asked of their documents */
    public static function field(string $key): ListedField
    {
        $of = PartyFields::of($key);
        $field = ListedField::of(
            "party-$key",
            'Their '.lcfirst($of->field->title),
            $of->field->type,
            fn (Document $document, Day $today) => $of->value($document->party, $today),
            new self($of->source),
            ['party', ...array_map(fn (string $relation) => "party.$relation", $of->reads)],
        )->offering($of->offered);

        $choices = $of->choices();

        return $choices === null ? $field : $field->chosenFrom(fn () => $choices);
    }

    public function asks(Condition $condition, Day $today): Asked
    {
        $asked = $this->source->asks($condition, $today);

        return new Asked(self::PARTY." in (select v.party_id from record_values as v where $asked->sql)", $asked->bindings);
    }

    public function grouped(string $alias, Day $today): array
    {
        return ['', 'null'];
    }

    public function order(): string
    {
        $order = $this->source->order();

        return $order === '' ? '' : "(select $order from record_values as v where v.party_id = ".self::PARTY.')';
    }
}
