<?php

declare(strict_types=1);

namespace App\Actions\Mailing;

use Almanac\Mailing\LetterText;
use Almanac\Records\StaleSave;
use Almanac\Records\Wording;
use Almanac\Records\WordingRefused;
use App\Facts\Mailing\LetterFields;
use App\Models\LetterTemplate;
use App\Models\User;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Keeps the letters that the office writes again and again. */
final class KeepLetterTemplates
{
    private const LONGEST_NAME = 80;

    private const LONGEST_SUBJECT = 200;

    private const MOST = 200;

    /**
     * @param array{name: string, subject: string, body: string} $input
     *
     * @throws ValidationException when it has no name or no text, or a field that does not exist
     */
    public function add(array $input, User $by): LetterTemplate
    {
        return DB::transaction(function () use ($input, $by): LetterTemplate {
            if (LetterTemplate::query()->count() >= self::MOST) {
                throw ValidationException::withMessages(['name' => 'There are '.self::MOST.' templates. Remove one first.']);
            }

            return $this->write(new LetterTemplate, $input, $by);
        });
    }

    /**
     * @param array{name: string, subject: string, body: string} $input
     *
     * @throws ValidationException when it has no name or no text, or a field that does not exist
     * @throws StaleSave when somebody else has saved it since
     */
    public function change(LetterTemplate $template, array $input, int $version, User $by): LetterTemplate
    {
        return DB::transaction(function () use ($template, $input, $version, $by): LetterTemplate {
            StaleSave::unlessSeen($template->refresh()->version, $version, 'this template');
            $template->version++;

            return $this->write($template, $input, $by);
        });
    }

    /**
     * The letters that were written with it stay.
     *
     * @throws StaleSave when somebody else has saved it since
     */
    public function remove(LetterTemplate $template, int $version): void
    {
        DB::transaction(function () use ($template, $version): void {
            StaleSave::unlessSeen($template->refresh()->version, $version, 'this template');
            $template->delete();
        });
    }

    /** @param  array{name: string, subject: string, body: string}  $input */
    private function write(LetterTemplate $template, array $input, User $by): LetterTemplate
    {
        $problems = new FieldProblems;
        $name = $problems->at('name', fn () => Wording::line($input['name'], self::LONGEST_NAME, 'Type a name for the template.'));
        if ($name !== null && LetterTemplate::query()->where('name', $name)->whereKeyNot($template->id ?? 0)->exists()) {
            $problems->add('name', WordingRefused::taken($name)->getMessage());
        }
        if (mb_strlen($input['subject']) > self::LONGEST_SUBJECT) {
            $problems->add('subject', 'At most '.self::LONGEST_SUBJECT.' letters.');
        }
        $known = array_keys(LetterFields::all(true));
        foreach (['subject', 'body'] as $part) {
            $problems->at($part, fn () => LetterText::of($input[$part])->mustKnow($known));
        }
        if (trim($input['body']) === '') {
            $problems->add('body', 'Write the letter first.');
        }
        $problems->throwIfAny();
        $template->fill([
            'name' => $name, 'subject' => trim($input['subject']), 'body' => rtrim($input['body']),
            'user_id' => $by->id,
        ])->save();

        return $template;
    }
}
