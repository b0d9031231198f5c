<?php

declare(strict_types=1);

namespace Almanac\Merging;

use Almanac\Records\SectionName;

/**
 * What a section of each record is to say when they are taken apart: what it said before, with what was changed, added and
 * taken away since.
 */
final readonly class SectionApart
{
    private SectionParts $parts;

    /** @var array{singles: array<string, array<string, mixed>>, lines: array<string, array<string, mixed>>, members: array<string, list<string>>} right after they were made one, by key */
    private array $then;

    /** @var array{singles: array<string, array<string, mixed>>, lines: array<string, array<string, mixed>>, members: array<string, list<string>>} the same as it is now */
    private array $is;

    /**
     * @param array<int, array<string, mixed>> $before the states of the section by record, the one that stayed first
     * @param array<string, mixed> $merged what it said right after they were made one
     * @param array<string, mixed> $now
     */
    public function __construct(SectionName $section, private array $before, public array $merged, array $now)
    {
        $this->parts = SectionParts::of($section);
        [$this->then, $this->is] = array_map(fn (array $state) => [
            'singles' => $this->parts->singles($state), 'lines' => $this->parts->lines($state), 'members' => $this->parts->members($state),
        ], [$merged, $now]);
    }

    /**
     * What is different from what it was right after.
     *
     * @return array<string, list<int>> who is proposed to have it as it is now, by part
     */
    public function changed(): array
    {
        $stays = array_key_first($this->before) ?? 0;
        $changed = [];
        foreach (array_keys($this->is['singles'] + $this->then['singles']) as $key) {
            if (($this->is['singles'][$key] ?? null) !== ($this->then['singles'][$key] ?? null)) {
                $changed[$key] = [$stays];
            }
        }
        foreach (array_keys($this->is['lines'] + $this->then['lines']) as $key) {
            if (($this->is['lines'][$key] ?? null) !== ($this->then['lines'][$key] ?? null)) {
                $changed[$key] = [$this->ownerOf($key) ?? $stays];
            }
        }
        foreach ($this->is['members'] as $key => $names) {
            $were = $this->then['members'][$key] ?? [];
            if (array_diff($names, $were) !== [] || array_diff($were, $names) !== []) {
                $changed[$key] = [$stays];
            }
        }

        return $changed;
    }

    /** Whether a part came since. */
    public function isNew(string $key): bool
    {
        return isset($this->is['lines'][$key]) && ! isset($this->then['lines'][$key]) && $this->ownerOf($key) === null;
    }

    /**
     * @param array<string, list<int>> $has who has it as it is now, by part
     *
     * @return array<int, array<string, mixed>> the states by record
     */
    public function states(array $has): array
    {
        $has += $this->changed();
        $states = [];
        foreach ($this->before as $partyId => $state) {
            $singles = $this->parts->singles($state);
            $lines = $this->parts->lines($state);
            $members = $this->parts->members($state);
            foreach ($has as $key => $owners) {
                if (! in_array($partyId, $owners, true)) {
                    continue;
                }
                if (isset($members[$key], $this->is['members'][$key])) {
                    $members[$key] = $this->membersOf($key, $members[$key], $this->is['members'][$key]);
                } elseif (isset($this->is['singles'][$key])) {
                    $singles[$key] = $this->is['singles'][$key];
                } elseif (isset($this->is['lines'][$key])) {
                    $lines[$key] = isset($lines[$key])
                        ? $this->lineOf($key, $lines[$key], $this->is['lines'][$key])
                        : $this->is['lines'][$key];
                } else {
                    unset($lines[$key]);
                    if (isset($singles[$key])) {
                        $singles[$key] = ['value' => ''];
                    }
                }
            }
            $states[$partyId] = $this->parts->with($state, $singles, $lines, $members);
        }

        return $states;
    }

    /** Whose a line was before. */
    private function ownerOf(string $key): ?int
    {
        foreach ($this->before as $partyId => $state) {
            if (isset($this->parts->lines($state)[$key])) {
                return $partyId;
            }
        }

        return null;
    }

    /**
     * A line as it was, but for what was changed in it since.
     *
     * @param array<string, mixed> $was
     * @param array<string, mixed> $is
     *
     * @return array<string, mixed>
     */
    private function lineOf(string $key, array $was, array $is): array
    {
        $merged = $this->then['lines'][$key] ?? [];
        foreach ($is as $field => $value) {
            if ($value !== ($merged[$field] ?? null)) {
                $was[$field] = $value;
            }
        }

        return $was;
    }

    /**
     * @param list<string> $were
     * @param list<string> $are
     *
     * @return list<string>
     */
    private function membersOf(string $key, array $were, array $are): array
    {
        $merged = $this->then['members'][$key] ?? [];

        return array_values(array_unique([...array_diff($were, array_diff($merged, $are)), ...array_diff($are, $merged)]));
    }
}
