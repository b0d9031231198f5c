<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Actions\Records\Following;
use Illuminate\Foundation\Http\FormRequest;

/** A section to be saved, and the version of it that the person who saves has seen. */
abstract class SectionRequest extends FormRequest
{
    /** Long enough for anything typed in one line; the core has its own, narrower limits. */
    protected const LINE = 'max:1000';

    /** @return array<string, mixed> */
    abstract protected function sectionRules(): array;

    /** @return array<string, mixed> */
    final public function rules(): array
    {
        return ['version' => ['required', 'integer', 'min:0'], ...FollowingRules::RULES, ...$this->sectionRules()];
    }

    /** @return array<string, mixed> */
    public function section(): array
    {
        return $this->safe()->except('version', 'follow');
    }

    /** The documents that take over what is saved; null for none. */
    public function following(): ?Following
    {
        return FollowingRules::read($this->validated('follow'));
    }

    public function version(): int
    {
        return $this->integer('version');
    }

    /** @return list<string> */
    protected static function text(): array
    {
        return ['present', 'string', self::LINE];
    }
}
