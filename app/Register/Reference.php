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
     */
    private function __construct(
        public string $table,
        public string $column,
        public Hold $hold,
        public ?AtUniqueKey $atUniqueKey,
        public string $one = '',
        public string $many = '',
    ) {
    }

    public static function owned(string $table, string $column = 'party_id', ?AtUniqueKey $atUniqueKey = null): self
    {
        return new self($table, $column, Hold::Owned, $atUniqueKey);
    }

    public static function derived(string $table, string $column = 'party_id'): self
    {
        return new self($table, $column, Hold::Derived, AtUniqueKey::Goes);
    }

    public static function binding(string $table, string $column, string $one, string $many, ?AtUniqueKey $atUniqueKey = null): self
    {
        return new self($table, $column, Hold::Binding, $atUniqueKey, $one, $many);
    }
}
