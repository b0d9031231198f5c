<?php

declare(strict_types=1);

namespace App\Http\Shapes;

use OpenApi\Attributes as OA;

/**
 * What a request takes in, said once: the rules that check it, its schema in the contract, and a sample that passes,
 * all come from here.
 */
final readonly class Shape
{
    /** @param  array<string, Input>  $inputs */
    private function __construct(public string $name, public array $inputs)
    {
    }

    /**
     * @param string $name in the contract
     * @param array<string, Input> $inputs
     */
    public static function named(string $name, array $inputs): self
    {
        return new self($name, $inputs);
    }

    /**
     * All of this and more, under a name of its own.
     *
     * @param array<string, Input> $inputs
     */
    public function and(string $name, array $inputs): self
    {
        return new self($name, [...$this->inputs, ...$inputs]);
    }

    /**
     * @param string $prefix of each key
     * @param mixed $given what was sent, where that is known
     *
     * @return array<string, list<mixed>>
     */
    public function rules(string $prefix = '', mixed $given = null): array
    {
        $rules = [];
        foreach ($this->inputs as $name => $input) {
            $rules += $input->rules($prefix.$name, is_array($given) ? $given[$name] ?? null : null);
        }

        return $rules;
    }

    /**
     * The first list within it that has more entries than it may have.
     *
     * @return array{string, int}|null where it is, and how many it may have
     */
    public function tooLong(string $at, mixed $given): ?array
    {
        foreach (is_array($given) ? $this->inputs : [] as $name => $input) {
            $found = $input->tooLong($at === '' ? $name : "$at.$name", $given[$name] ?? null);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /** @return list<OA\Parameter> of what is asked by the address */
    public function parameters(): array
    {
        return array_map(fn (string $name, Input $input) => $input->parameter($name), array_keys($this->inputs), $this->inputs);
    }

    public function schema(): OA\Schema
    {
        return new OA\Schema(
            schema: $this->name,
            required: array_keys(array_filter($this->inputs, fn (Input $input) => $input->isRequired())),
            properties: array_map(fn (string $name, Input $input) => $input->property($name), array_keys($this->inputs), $this->inputs),
            type: 'object',
        );
    }

    /**
     * This and all that it is made of.
     *
     * @return array<string, self> by name
     */
    public function all(): array
    {
        $all = [$this->name => $this];
        foreach ($this->inputs as $input) {
            $all += $input->within()?->all() ?? [];
        }

        return $all;
    }

    /** @return array<string, mixed> */
    public function sample(): array
    {
        return array_map(fn (Input $input) => $input->sample(), $this->inputs);
    }
}
