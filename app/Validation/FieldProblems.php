<?php

declare(strict_types=1);

namespace App\Validation;

use Almanac\Addresses\AddressRefused;
use Almanac\Addresses\PostalAddress;
use Almanac\Refusal;
use Illuminate\Validation\ValidationException;

/** Gathers what the core refuses, each at the field it was typed in, so that all of it is told at once. */
final class FieldProblems
{
    /** @var array<string, list<string>> */
    private array $found = [];

    /**
     * @template T
     *
     * @param \Closure(): T $make
     *
     * @return T|null null when the core refused
     */
    public function at(string $field, \Closure $make): mixed
    {
        try {
            return $make();
        } catch (Refusal $refusal) {
            $this->add($field, $refusal->getMessage());

            return null;
        }
    }

    /**
     * An address as it was typed, each refusal at its part.
     *
     * @param array{country: string, lines: string, locality: string, region: string, postcode: string, ...} $typed
     * @param string $prefix of the fields: "addresses.0."
     */
    public function postal(array $typed, string $prefix = ''): ?PostalAddress
    {
        try {
            return PostalAddress::of($typed['country'], $typed['lines'], $typed['locality'], $typed['region'], $typed['postcode']);
        } catch (AddressRefused $refusal) {
            $this->add($prefix.$refusal->part->value, $refusal->getMessage());

            return null;
        }
    }

    public function add(string $field, string $message): void
    {
        $this->found[$field][] = $message;
    }

    /** @return array<string, list<string>> by field */
    public function all(): array
    {
        return $this->found;
    }

    /** @throws ValidationException */
    public function throwIfAny(): void
    {
        if ($this->found !== []) {
            throw ValidationException::withMessages($this->found);
        }
    }
}
