<?php

declare(strict_types=1);

namespace App\Register;

/** A column in which rows name a party. */
final readonly class Reference
{
    /**
     * @param string $one what a row that binds is called, for whoever wants to delete the party
     * @param string $many the same for several
     * @param AtUniqueKey|null $atUniqueKey where a unique key has the column in it
     * @param AtMerge $atMerge what becomes of it when the party is made one with another
     */
    private function __construct(
        public string $table,
        public string $column,
        public Hold $hold,
        public ?AtUniqueKey $atUniqueKey,
        public AtMerge $atMerge,
        public string $one = '',
        public string $many = '',
    ) {
    }

    public static function owned(
        string $table,
        string $column = 'party_id',
        ?AtUniqueKey $atUniqueKey = null,
        AtMerge $atMerge = AtMerge::Moves,
    ): self {
        return new self($table, $column, Hold::Owned, $atUniqueKey, $atMerge);
    }

    public static function derived(string $table, string $column = 'party_id', AtMerge $atMerge = AtMerge::Drops): self
    {
        return new self($table, $column, Hold::Derived, AtUniqueKey::Goes, $atMerge);
    }

    public static function binding(
        string $table,
        string $column,
        string $one,
        string $many,
        ?AtUniqueKey $atUniqueKey = null,
        AtMerge $atMerge = AtMerge::Moves,
    ): self {
        return new self($table, $column, Hold::Binding, $atUniqueKey, $atMerge, $one, $many);
    }
}
