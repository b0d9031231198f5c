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
    /**
     * @param array<int, array<string, mixed>> $before the states of the section by record, the one that stayed first
     * @param array<string, mixed> $merged what it said right after they were made one
     * @param array<string, mixed> $now
     */
    public function __construct(private SectionName $section, private array $before, public array $merged, private array $now)
    {
    }

    /**
     * What is different from what it was right after.
     *
     * @return array<string, list<int>> who is proposed to have it as it is now, by part
     */
    public function changed(): array
    {
        $parts = SectionParts::of($this->section);
        $stays = array_key_first($this->before) ?? 0;
        $changed = [];
        $merged = $parts->singles($this->merged);
        foreach ($parts->singles($this->now) + $merged as $key => $values) {
            if (($parts->singles($this->now)[$key] ?? null) !== ($merged[$key] ?? null)) {
                $changed[$key] = [$stays];
            }
        }
        $merged = $parts->lines($this->merged);
        $now = $parts->lines($this->now);
        foreach ($now + $merged as $key => $row) {
            if (($now[$key] ?? null) !== ($merged[$key] ?? null)) {
                $changed[$key] = [$this->ownerOf($key) ?? $stays];
            }
        }
        foreach ($parts->members($this->now) as $key => $names) {
            $were = $parts->members($this->merged)[$key] ?? [];
            if (array_diff($names, $were) !== [] || array_diff($were, $names) !== []) {
                $changed[$key] = [$stays];
            }
        }

        return $changed;
    }

    /** Whether a part came since. */
    public function isNew(string $key): bool
    {
        $parts = SectionParts::of($this->section);

        return isset($parts->lines($this->now)[$key]) && ! isset($parts->lines($this->merged)[$key]) && $this->ownerOf($key) === null;
    }

    /**
     * @param array<string, list<int>> $has who has it as it is now, by part
     *
     * @return array<int, array<string, mixed>> the states by record
     */
    public function states(array $has): array
    {
        $parts = SectionParts::of($this->section);
        $has += $this->changed();
        $now = ['singles' => $parts->singles($this->now), 'lines' => $parts->lines($this->now), 'members' => $parts->members($this->now)];
        $states = [];
        foreach ($this->before as $partyId => $state) {
            $singles = $parts->singles($state);
            $lines = $parts->lines($state);
            $members = $parts->members($state);
            foreach ($has as $key => $owners) {
                if (! in_array($partyId, $owners, true)) {
                    continue;
                }
                if (isset($members[$key], $now['members'][$key])) {
                    $members[$key] = $this->membersOf($key, $members[$key], $now['members'][$key]);
                } elseif (isset($now['singles'][$key])) {
                    $singles[$key] = $now['singles'][$key];
                } elseif (isset($now['lines'][$key])) {
                    $lines[$key] = isset($lines[$key]) ? $this->lineOf($key, $lines[$key], $now['lines'][$key]) : $now['lines'][$key];
                } else {
                    unset($lines[$key]);
                    if (isset($singles[$key])) {
                        $singles[$key] = ['value' => ''];
                    }
                }
            }
            $states[$partyId] = $parts->with($state, $singles, $lines, $members);
        }

        return $states;
    }

    /** Whose a line was before. */
    private function ownerOf(string $key): ?int
    {
        foreach ($this->before as $partyId => $state) {
            if (isset(SectionParts::of($this->section)->lines($state)[$key])) {
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
        $merged = SectionParts::of($this->section)->lines($this->merged)[$key] ?? [];
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
        $merged = SectionParts::of($this->section)->members($this->merged)[$key] ?? [];

        return array_values(array_unique([...array_diff($were, array_diff($merged, $are)), ...array_diff($are, $merged)]));
    }
}
