<?php

declare(strict_types=1);

namespace App\Http\Shapes;

use App\Http\Requests\Rules\ItemList;
use App\Http\Requests\Rules\OneOfOrNull;
use App\Http\Requests\Rules\OrNull;
use App\Http\Requests\Rules\WholeNumbers;
use BackedEnum;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** One thing that is sent in: what it has to be, said once, for whoever checks it, describes it or tries it. */
final readonly class Input
{
    /** Characters: long enough for anything typed in one line; the core has its own, narrower limits. */
    private const LINE = 1000;

    private const REF = '#/components/schemas/';

    /**
     * @param list<mixed> $checks of a value that is there
     * @param list<mixed> $orNull of a value that is there, or null; empty when null never will do
     * @param array<string, mixed> $property what an OA\Property is made of
     * @param mixed $sample something that passes
     * @param self|Shape|null $within of a list: what it is a list of
     * @param int|null $most of a list: entries
     */
    private function __construct(
        private array $checks,
        private array $orNull,
        private array $property,
        private mixed $sample,
        private self|Shape|null $within = null,
        private bool $mayBeEmpty = false,
        private bool $mayBeMissing = false,
        private bool $mayBeNull = false,
        private ?int $most = null,
    ) {
    }

    /** @param  int  $most  characters */
    public static function text(int $most = self::LINE): self
    {
        return new self(['string', "max:$most"], ['nullable', 'string', "max:$most"], ['type' => 'string'], '', mayBeEmpty: true);
    }

    /** A day in the form of ISO 8601. */
    public static function isoDay(): self
    {
        return new self(['string', 'date_format:Y-m-d'], [], ['type' => 'string', 'format' => 'date'], '2026-11-24');
    }

    public static function flag(): self
    {
        return new self(['boolean:strict'], [new OrNull('bool')], ['type' => 'boolean'], false);
    }

    /** The number of something that is kept. */
    public static function id(): self
    {
        return new self(['integer:strict'], [new OrNull('int')], ['type' => 'integer'], 1);
    }

    /** A number in the address, where everything is text. */
    public static function number(): self
    {
        return new self(['integer', 'between:1,'.PHP_INT_MAX], [], ['type' => 'integer'], 1);
    }

    public static function whole(int $least, ?int $most = null): self
    {
        $bounded = ['integer:strict', "min:$least", ...$most === null ? [] : ["max:$most"]];

        return new self(
            $bounded,
            ['nullable', ...$bounded],
            ['type' => 'integer', 'minimum' => $least, ...$most === null ? [] : ['maximum' => $most]],
            $least,
        );
    }

    /**
     * @param class-string<BackedEnum> $of
     * @param list<BackedEnum> $only those that may be chosen; empty for all
     */
    public static function oneOf(string $of, array $only = []): self
    {
        $codes = array_map(fn (BackedEnum $case) => (string) $case->value, $only === [] ? $of::cases() : $only);

        return new self(
            [$only === [] ? Rule::enum($of) : Rule::in($codes)],
            [new OneOfOrNull($of)],
            ['type' => 'string', 'enum' => $codes],
            $codes[0],
        );
    }

    /** @param  int  $most  entries */
    public static function listOf(self|Shape $item, int $most): self
    {
        return new self(
            [new ItemList, "max:$most"],
            [new ItemList(orNull: true), "max:$most"],
            ['type' => 'array', 'maxItems' => $most],
            [],
            within: $item,
            mayBeEmpty: true,
            most: $most,
        );
    }

    /** @param  int|null  $most  kilobytes; null when what keeps it says how large it may be */
    public static function file(?int $most = null): self
    {
        return new self(['file', ...$most === null ? [] : ["max:$most"]], [], ['type' => 'string', 'format' => 'binary'], null);
    }

    public static function of(Shape $shape): self
    {
        return new self(['array'], ['nullable', 'array'], [], null, within: $shape);
    }

    public function optional(): self
    {
        return $this->with(mayBeMissing: true);
    }

    public function orNull(): self
    {
        if ($this->orNull === []) {
            throw new \LogicException('Null will not do for this.');
        }

        return $this->with(mayBeNull: true);
    }

    /** Of a text or a list: not an empty one. */
    public function filled(mixed $sample = 'x'): self
    {
        return $this->with(mayBeEmpty: false, sample: $sample);
    }

    /** What else is checked of a value that is there. */
    public function also(mixed ...$checks): self
    {
        return $this->with(checks: [...$this->checks, ...array_values($checks)]);
    }

    public function says(string $description): self
    {
        return $this->with(property: [...$this->property, 'description' => $description]);
    }

    public function isRequired(): bool
    {
        return ! $this->mayBeMissing;
    }

    public function isNumber(): bool
    {
        return ($this->property['type'] ?? '') === 'integer';
    }

    public function sample(): mixed
    {
        return match (true) {
            $this->mayBeNull => null,
            $this->within === null || $this->isList() => $this->sample,
            default => $this->within->sample(),
        };
    }

    public function parameter(string $name): OA\Parameter
    {
        return new OA\Parameter(name: $name, in: 'query', required: $this->isRequired(), schema: new OA\Schema(...$this->described()));
    }

    public function property(string $name): OA\Property
    {
        return new OA\Property($name, ...$this->described(), ...$this->mayBeNull ? ['nullable' => true] : []);
    }

    public function within(): ?Shape
    {
        return $this->within instanceof self ? $this->within->within() : $this->within;
    }

    /**
     * The first list with more entries than it may have: looked for before rules are made, which take one for each entry.
     *
     * @return array{string, int}|null where it is, and how many it may have
     */
    public function tooLong(string $at, mixed $given): ?array
    {
        if ($this->within === null || ! is_array($given)) {
            return null;
        }
        if (! $this->isList()) {
            return $this->within->tooLong($at, $given);
        }
        if (count($given) > $this->most) {
            return [$at, (int) $this->most];
        }
        foreach ($given as $key => $entry) {
            $found = $this->within->tooLong("$at.$key", $entry);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /**
     * Laravel's rules, by where they hold.
     *
     * @return array<string, list<mixed>>
     */
    public function rules(string $at, mixed $given): array
    {
        $presence = match (true) {
            $this->mayBeMissing && ($this->mayBeEmpty || $this->mayBeNull) => ['sometimes'],
            $this->mayBeMissing => ['sometimes', 'required'],
            $this->mayBeEmpty || $this->mayBeNull => ['present'],
            default => ['required'],
        };
        $rules = [$at => ['bail', ...$presence, ...$this->mayBeNull ? $this->orNull : $this->checks]];
        if ($this->within instanceof self && $this->within->isPlainId()) {
            return [$at => [...$rules[$at], new WholeNumbers]];
        }
        if ($this->within === null || ($given === null && $this->mayBeNull)) {
            return $rules;
        }

        return [...$rules, ...match (true) {
            $this->within instanceof self => $this->within->rules("$at.*", null),
            $this->isList() => ["$at.*" => ['array'], ...$this->within->rules("$at.*.")],
            $given === null && $this->mayBeMissing => [],
            default => $this->within->rules("$at.", $given),
        }];
    }

    /**
     * Only the contract asks for it: what checks a request does not make it.
     *
     * @return array<string, mixed>
     */
    private function described(): array
    {
        $within = $this->within instanceof Shape ? ['ref' => self::REF.$this->within->name] : $this->within?->described();

        return [...$this->property, ...match (true) {
            $within === null => [],
            $this->isList() => ['items' => new OA\Items(...$within)],
            default => $within,
        }];
    }

    private function isPlainId(): bool
    {
        return $this->checks === ['integer:strict'] && ! $this->mayBeNull;
    }

    private function isList(): bool
    {
        return ($this->property['type'] ?? '') === 'array';
    }

    private function with(mixed ...$changes): self
    {
        return new self(...[...get_object_vars($this), ...$changes]);
    }
}
