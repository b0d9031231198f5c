<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Models\Party;
use App\Models\SubjectModel;

/** A section of one subject, whatever it is, to be read before a change and after it. */
final readonly class SectionOf
{
    /**
     * @param list<string> $reads
     * @param \Closure(): array<string, LoggedFact> $facts
     * @param \Closure(): array<string, mixed> $state
     * @param \Closure(array<string, mixed>, Past): mixed $recall
     * @param \Closure(array<string, mixed>): bool $isPrivate
     * @param \Closure(array<string, mixed>): mixed $write
     */
    public function __construct(
        public SectionName $name,
        public SubjectModel $subject,
        public array $reads,
        private \Closure $facts,
        private \Closure $state,
        private \Closure $recall,
        private \Closure $isPrivate,
        private \Closure $write,
    ) {
    }

    public static function party(Section $section, Party $party): self
    {
        return new self(
            $section->name(),
            $party,
            $section->reads(),
            fn () => $section->facts($party),
            fn () => $section->state($party),
            fn (array $state, Past $past) => $section->recall($party, $state, $past),
            $section->isPrivate(...),
            fn (array $input) => $section->write($party, $input),
        );
    }

    /** By which it is told from the sections of others, and from others of its own. */
    public function key(): string
    {
        return "{$this->subject->id} {$this->name->value}";
    }

    /** @return array<string, LoggedFact> */
    public function facts(): array
    {
        return ($this->facts)();
    }

    /** @return array<string, mixed> */
    public function state(): array
    {
        return ($this->state)();
    }

    /**
     * Makes of the subject what it was in a state; of one that is only read.
     *
     * @param array<string, mixed> $state
     */
    public function recall(array $state, Past $past): void
    {
        ($this->recall)($state, $past);
    }

    /** @param  array<string, mixed>  $state */
    public function isPrivate(array $state): bool
    {
        return ($this->isPrivate)($state);
    }

    /** @param  array<string, mixed>  $input */
    public function write(array $input): void
    {
        ($this->write)($input);
    }

    /** Reads it again, as it is kept now. */
    public function reload(): void
    {
        $this->subject->unsetRelations()->load($this->reads);
    }
}
