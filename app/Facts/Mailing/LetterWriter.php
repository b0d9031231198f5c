<?php

declare(strict_types=1);

namespace App\Facts\Mailing;

use Almanac\Calendar\Day;
use Almanac\Mailing\Envelope;
use Almanac\Mailing\LetterText;
use Almanac\Mailing\MailingRefused;
use App\Models\Engagement;
use App\Models\Party;
use App\Models\User;

/** One letter, filled in for whoever gets it. */
final readonly class LetterWriter
{
    private function __construct(
        private LetterText $subject,
        private LetterText $body,
        private ?Engagement $engagement,
        private Day $day,
        private User $by,
    ) {
    }

    /** @throws MailingRefused when there is nothing to write, or a field that does not exist */
    public static function of(string $subject, string $body, ?Engagement $engagement, Day $day, User $by): self
    {
        $known = array_keys(LetterFields::all($engagement !== null));
        $texts = array_map(function (string $typed) use ($known): LetterText {
            $text = LetterText::of($typed);
            $text->mustKnow($known);

            return $text;
        }, [str_replace("\n", ' ', $subject), $body]);
        if ($texts[1]->isEmpty()) {
            throw MailingRefused::empty();
        }

        return new self($texts[0], $texts[1], $engagement, $day, $by);
    }

    /** @param  Party  $first  the first of those who get it, whose fields it has */
    public function write(Envelope $envelope, Party $first): WrittenLetter
    {
        $asked = [...$this->subject->fields(), ...$this->body->fields()];
        $values = LetterFields::values($asked, $first, $envelope, $this->engagement, $this->day, $this->by);

        return new WrittenLetter(
            $envelope->lines,
            $envelope->emails(),
            mb_strimwidth(str_replace("\n", ', ', $this->subject->filled($values)), 0, 250, '…'),
            $this->body->filled($values),
        );
    }
}
